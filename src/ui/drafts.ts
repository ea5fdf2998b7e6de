"use client";
import { useCallback, useEffect, useState } from "react";
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
    // A full or forbidden store: the form still holds what was typed while it is open.
  }
}

export function forgetDraft(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // Nothing was kept then.
  }
}

/**
 * State that is being typed: it survives a reload, a lost connection and a failed save, until it is saved or given up.
 *
 * @returns the value, a setter, and a way to forget what was typed
 */
export function useDraft<T>(name: string, initial: T): [T, (next: T | ((before: T) => T)) => void, () => void] {
  const key = draftKey(useWho().personId, name);
  const [value, setValue] = useState(initial);
  useEffect(() => {
    const kept = readDraft<T>(key);
    // What is kept on the device is known only after the first paint.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (kept) setValue(kept.value);
  }, [key]);
  const set = useCallback(
    (next: T | ((before: T) => T)) =>
      setValue((before) => {
        const after = typeof next === "function" ? (next as (before: T) => T)(before) : next;
        writeDraft(key, after);
        return after;
      }),
    [key],
  );
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
 * What is open on a sheet: a reload opens it again, going elsewhere closes it. The palette opens it from afar.
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

/** Opens something on a sheet, here or on the one that is gone to next. */
export function openOn(name: string, value: unknown, href: string): void {
  keepOpened(OPENED_PREFIX + name, value, href.split("?")[0]!);
  window.dispatchEvent(new Event(OPENED));
}

/** A page that was loaded anew on another sheet: what was open elsewhere is closed. */
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
