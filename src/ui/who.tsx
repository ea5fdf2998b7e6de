"use client";
import { createContext, useContext, type ReactNode } from "react";
import { may, type Right, type Role } from "@/core/people/rights";

/** Whoever looks at the page, as far as the page has to know. */
export interface WhoLooks {
  readonly personId: number;
  readonly role: Role;
}

const Who = createContext<WhoLooks>({ personId: 0, role: "viewer" });

export function WhoProvider({ who, children }: { who: WhoLooks; children: ReactNode }) {
  return <Who.Provider value={who}>{children}</Who.Provider>;
}

export function useWho(): WhoLooks {
  return useContext(Who);
}

/** Whether whoever looks has a right. What they may not do is not offered; the server refuses it all the same. */
export function useMay(right: Right): boolean {
  return may(useContext(Who).role, right);
}

/** Shows its content only to those who have a right. */
export function Only({ right, children }: { right: Right; children: ReactNode }) {
  return useMay(right) ? children : null;
}
