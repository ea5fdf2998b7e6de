"use client";
import { createContext, useContext, type ReactNode } from "react";
import { dayAt, timeAt } from "@/core/units/clockText";
import type { Day } from "@/core/units/day";
import { may, type Right, type Role } from "@/core/people/rights";

/** The person who looks at the page, as far as the page has to know. */
export interface WhoLooks {
  readonly personId: number;
  readonly role: Role;
  /** Days and hours are the garden's, wherever the screen is. */
  readonly timeZone: string;
  /** The what-if that the page is of, and the stands that it adds or changes; null on the garden as it is. */
  readonly whatIf: { readonly id: number; readonly name: string; readonly stands: readonly number[] } | null;
}

const Who = createContext<WhoLooks>({ personId: 0, role: "viewer", timeZone: "UTC", whatIf: null });

export function WhoProvider({ who, children }: { who: WhoLooks; children: ReactNode }) {
  return <Who.Provider value={who}>{children}</Who.Provider>;
}

export function useWho(): WhoLooks {
  return useContext(Who);
}

/** An instant on the garden's clock. */
export function useClock(): { day: (at: Date | string) => Day; time: (at: Date | string) => string } {
  const { timeZone } = useContext(Who);
  return { day: (at) => dayAt(new Date(at), timeZone), time: (at) => timeAt(new Date(at), timeZone) };
}

/** Whether whoever looks has a right. What they may not do is not offered; the server refuses it all the same. */
export function useMay(right: Right): boolean {
  return may(useContext(Who).role, right);
}

/** Shows its content only to those who have a right. */
export function Only({ right, children }: { right: Right; children: ReactNode }) {
  return useMay(right) ? children : null;
}
