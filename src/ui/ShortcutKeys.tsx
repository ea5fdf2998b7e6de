"use client";
import { useRouter } from "next/navigation";
import { useEffect, useRef } from "react";

const STATION_OF_KEY: Readonly<Record<string, string>> = {
  r: "/round",
  p: "/place",
  w: "/water",
  f: "/feed",
  g: "/growth",
  b: "/batches",
  m: "/people",
};
const SECOND_KEY_WITHIN_MS = 1200;

/** `g` and then a letter goes to a station: r, p, w, f, g, b, and m for the members of People. */
export function ShortcutKeys() {
  const router = useRouter();
  const waitingSince = useRef(0);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey || /^(input|textarea|select)$/iu.test(target.tagName)) return;
      const station = STATION_OF_KEY[event.key];
      if (station && event.timeStamp - waitingSince.current < SECOND_KEY_WITHIN_MS) {
        waitingSince.current = 0;
        router.push(station);
      } else if (event.key === "g") waitingSince.current = event.timeStamp;
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [router]);
  return null;
}
