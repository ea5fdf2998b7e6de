"use client";
import { usePathname } from "next/navigation";
import { useEffect, useRef, useState } from "react";
import { closeElsewhere } from "./drafts";
import { fetchWaiting, later } from "@/ui/later";
import { Drawer } from "@/ui/Drawer";
import { usePageRouter } from "@/ui/PageLink";
import { SHEETS } from "./ways";

const Palette = later(() => import("./Palette").then((part) => part.Palette));

const SECOND_KEY_WITHIN_MS = 1200;
const REST_MS = 1500;
const PALETTE = "seed-round-palette";

/** Opens the palette from a button. */
export function openPalette() {
  window.dispatchEvent(new Event(PALETTE));
}

/** Keys that work everywhere: `g` and a letter, `/` or Ctrl-K, `n`, `?`. */
export function ShortcutKeys() {
  const router = usePageRouter();
  const path = usePathname();
  const waitingSince = useRef(0);
  const [shown, setShown] = useState<"palette" | "keys" | null>(null);
  useEffect(() => {
    closeElsewhere();
    const timer = window.setTimeout(fetchWaiting, REST_MS);
    return () => window.clearTimeout(timer);
  }, [path]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        return setShown("palette");
      }
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey || /^(input|textarea|select)$/iu.test(target.tagName)) return;
      if (document.querySelector("[role=dialog]")) return;
      const station = SHEETS.find(({ key }) => key === event.key);
      if (station && event.timeStamp - waitingSince.current < SECOND_KEY_WITHIN_MS) {
        waitingSince.current = 0;
        return router.push(station.href);
      }
      if (event.key === "g") waitingSince.current = event.timeStamp;
      if (event.key === "/") {
        event.preventDefault();
        setShown("palette");
      }
      if (event.key === "?") setShown("keys");
      if (event.key === "n") {
        const button = document.querySelector<HTMLButtonElement>("main [data-key=n]:not(:disabled)");
        if (button) event.preventDefault();
        button?.click();
      }
    };
    const onCall = () => setShown("palette");
    window.addEventListener("keydown", onKey);
    window.addEventListener(PALETTE, onCall);
    return () => {
      window.removeEventListener("keydown", onKey);
      window.removeEventListener(PALETTE, onCall);
    };
  }, [router]);
  return (
    <>
      {shown === "palette" && <Palette open onClose={() => setShown(null)} />}
      <Drawer open={shown === "keys"} onClose={() => setShown(null)} title="Keys">
        <KeyList />
      </Drawer>
    </>
  );
}

const EVERYWHERE: readonly (readonly [keys: readonly string[], does: string])[] = [
  [["/"], "find anything, do anything (also Ctrl K)"],
  [["n"], "new: what this page adds"],
  [["?"], "these keys"],
  [["Esc"], "close, cancel"],
  [["←", "→"], "along a line, along the days, to the next batch"],
  [["↑", "↓"], "to the next line or growing area"],
  [["Enter"], "pick up; press again to drop it"],
];

function KeyList() {
  const ways = SHEETS.flatMap(({ key, name }) => (key ? [[["g", key], name] as const] : []));
  return (
    <dl className="grid grid-cols-[auto_1fr] items-baseline gap-x-5 gap-y-2">
      {[...EVERYWHERE, ...ways].map(([keys, does]) => (
        <div key={does} className="contents">
          <dt className="whitespace-nowrap">
            {keys.map((key) => (
              <kbd
                key={key}
                className="sign mr-1 inline-block min-w-8 border-2 border-ink bg-sheet px-2 text-center text-lg"
              >
                {key}
              </kbd>
            ))}
          </dt>
          <dd>{does}</dd>
        </div>
      ))}
    </dl>
  );
}
