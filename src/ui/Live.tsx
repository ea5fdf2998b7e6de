"use client";
import { WifiOff } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { lastRefreshAt, noteRefresh } from "./refreshed";

/** Many screens hear of one change at once; they look again a little apart. */
const SPREAD_MS = 900;
const LEAST_WAIT_MS = 150;
const SILENT_MS = 4000;

/** Keeps a screen up to date with what others change, and says when the connection is lost. */
export function Live() {
  const router = useRouter();
  const [lost, setLost] = useState(false);
  useEffect(() => {
    let waiting: number | undefined;
    let silent: number | undefined;
    let missed = false;
    const look = () => {
      missed = false;
      const heardAt = Date.now();
      window.clearTimeout(waiting);
      waiting = window.setTimeout(
        () => {
          // One's own save has refreshed the page meanwhile, and brought this change too.
          if (lastRefreshAt() > heardAt) return;
          noteRefresh();
          router.refresh();
        },
        LEAST_WAIT_MS + Math.random() * SPREAD_MS,
      );
    };
    const source = new EventSource("/live");
    const isBack = () => {
      window.clearTimeout(silent);
      silent = undefined;
      setLost(false);
    };
    source.addEventListener("open", isBack);
    source.addEventListener("change", () => (document.hidden ? (missed = true) : look()));
    source.addEventListener("error", () => {
      silent ??= window.setTimeout(() => setLost(true), SILENT_MS);
    });
    const onVisible = () => !document.hidden && missed && look();
    document.addEventListener("visibilitychange", onVisible);
    return () => {
      source.close();
      window.clearTimeout(waiting);
      window.clearTimeout(silent);
      document.removeEventListener("visibilitychange", onVisible);
    };
  }, [router]);
  if (!lost) return null;
  return (
    <p
      role="status"
      className="no-print fixed inset-x-0 top-0 z-[60] flex items-center justify-center gap-2 bg-alarm px-4 py-1.5 font-bold text-on-strong"
    >
      <WifiOff aria-hidden className="size-5 shrink-0" /> No connection. What you type is kept on this device; save when
      it is back.
    </p>
  );
}
