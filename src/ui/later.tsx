"use client";
import dynamic from "next/dynamic";
import type { ComponentType } from "react";

const waiting: (() => Promise<unknown>)[] = [];

/**
 * A part that the first view of a page does without: a form in a drawer, the palette. It is fetched when the page has come
 * to rest, so that it is there when it is called, with or without a connection by then.
 *
 * @example const HouseForm = later(() => import("./HouseForm").then((part) => part.HouseForm));
 */
export function later<Props>(load: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  return dynamic(wanted(load), { ssr: false });
}

/** Code that is called for later on, fetched when the page has come to rest. @returns the same function */
export function wanted<Part>(load: () => Promise<Part>): () => Promise<Part> {
  if (typeof window !== "undefined") waiting.push(load);
  return load;
}

/** Fetches what the pages seen so far may call for. */
export function fetchWaiting(): void {
  for (const load of waiting.splice(0)) void load().catch(() => waiting.push(load));
}
