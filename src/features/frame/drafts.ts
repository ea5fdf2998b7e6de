"use client";
import { useCallback, useEffect, useEffectEvent, useState } from "react";
import { useWho } from "./who";

const PREFIX = "draft";
const KEPT_DAYS = 14;

interface Kept<T> {
  readonly value: T;
  readonly at: number;
}

/** Where something typed and not yet saved is kept: on this device, for this person. */
export function draftKey(personId: number, name: string): string {
  return `${PREFIX}:${personId}:${name}`;
}

export function readDraft<T>(key: string): Kept<T> | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? "null") as Kept<T> | null;
    if (!kept || Date.now() - kept.at > KEPT_DAYS * 86_400_000) return null;
    return kept;
  } catch {
    return null;
  }
}

export function writeDraft<T>(key: string, value: T): void {
  try {
    localStorage.setItem(key, JSON.stringify({ value, at: Date.now() }));
  } catch {
    // Storage is full or forbidden: the form still holds what was typed while it is open.
  }
}

export function forgetDraft(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Nothing was kept then.
  }
}

/** Takes what is kept on the device under a key, once for each key: it is known only after the first paint. */
export function useKeptOnDevice<T>(key: string, take: (value: T) => void): void {
  const takeKept = useEffectEvent(take);
  useEffect(() => {
    const kept = readDraft<T>(key);
    if (kept) takeKept(kept.value);
  }, [key]);
}

type Set<T> = (next: T | ((before: T) => T)) => void;

/** State that is kept on the device under a key, whoever is signed in. */
export function useStored<T>(key: string, initial: T | (() => T)): [T, Set<T>] {
  const [value, setValue] = useState(initial);
  useKeptOnDevice<T>(key, setValue);
  const set = useCallback<Set<T>>(
    (next) =>
      setValue((before) => {
        const after = typeof next === "function" ? (next as (before: T) => T)(before) : next;
        writeDraft(key, after);
        return after;
      }),
    [key],
  );
  return [value, set];
}

/**
 * State that is being typed: it survives a reload, a lost connection and a failed save, until it is saved or given up.
 *
 * @returns the value, a setter, and a way to forget what was typed
 */
export function useDraft<T>(name: string, initial: T | (() => T)): [T, Set<T>, () => void] {
  const key = draftKey(useWho().personId, name);
  const [value, set] = useStored(key, initial);
  const forget = useCallback(() => forgetDraft(key), [key]);
  return [value, set, forget];
}

const OPENED = "seed-round-opened";
const OPENED_PREFIX = "opened:";

interface Opened {
  readonly value: unknown;
  /** The sheet on which it is open. */
  readonly path: string;
}

/**
 * What is open on a sheet: a reload opens it again, going elsewhere closes it. The palette can open it from another page.
 */
export function useOpened<T>(name: string): [T | null, (next: T | null) => void] {
  const key = OPENED_PREFIX + name;
  const [value, setValue] = useState<T | null>(null);
  useEffect(() => {
    const look = () => {
      const kept = sessionStorage.getItem(key);
      if (kept) setValue((JSON.parse(kept) as Opened).value as T);
    };
    look();
    window.addEventListener(OPENED, look);
    return () => {
      window.removeEventListener(OPENED, look);
      sessionStorage.removeItem(key);
    };
  }, [key]);
  const set = useCallback(
    (next: T | null) => {
      if (next === null) sessionStorage.removeItem(key);
      else keepOpened(key, next, window.location.pathname);
      setValue(next);
    },
    [key],
  );
  return [value, set];
}

/** Opens something on a sheet, here or on the one that is opened next. */
export function openOn(name: string, value: unknown, href: string): void {
  keepOpened(OPENED_PREFIX + name, value, href.split("?")[0]!);
  window.dispatchEvent(new Event(OPENED));
}

/** A page that was reloaded on another sheet: what was open elsewhere is closed. */
export function closeElsewhere(): void {
  for (const key of Object.keys(sessionStorage))
    if (key.startsWith(OPENED_PREFIX)) {
      const { path } = JSON.parse(sessionStorage.getItem(key)!) as Opened;
      if (path !== window.location.pathname) sessionStorage.removeItem(key);
    }
}

function keepOpened(key: string, value: unknown, path: string): void {
  sessionStorage.setItem(key, JSON.stringify({ value, path } satisfies Opened));
}
