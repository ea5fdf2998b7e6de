"use client";
import { WifiOff } from "lucide-react";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { tellJob } from "./jobEvents";
import { lastRefreshAt, noteRefresh } from "./refreshed";

/** Many screens hear of one change at once; they reload at slightly different times. */
const SPREAD_MS = 900;
const LEAST_WAIT_MS = 150;
const SILENT_MS = 4000;
const AGAIN_MS = 5000;

type Trouble = "lost" | "signed-out";

/** Keeps a screen up to date with others' changes, and says when it cannot. */
export function Live() {
  const router = useRouter();
  const [trouble, setTrouble] = useState<Trouble | null>(null);
  useEffect(() => listenFor(() => router.refresh(), setTrouble), [router]);
  if (trouble === null) return null;
  return (
    <p
      role="status"
      className="no-print fixed inset-x-0 top-0 z-[60] flex items-center justify-center gap-2 bg-alarm px-4 py-1.5 font-bold text-on-strong"
    >
      <WifiOff aria-hidden className="size-5 shrink-0" />
      {trouble === "lost" ? (
        "No connection. What you type is kept on this device; save when it is back."
      ) : (
        <span>
          You are signed out.{" "}
          <a href="/sign-in" target="_blank" className="underline">
            Sign in again
          </a>{" "}
          in another tab; what you typed stays here.
        </span>
      )}
    </p>
  );
}

/** @returns a function that stops listening */
function listenFor(refresh: () => void, say: (trouble: Trouble | null) => void): () => void {
  let source: EventSource | undefined;
  let missed = false;
  let stopped = false;
  const timers = new Map<"look" | "silent" | "again", number>();
  const later = (name: "look" | "silent" | "again", work: () => void, ms: number) => {
    window.clearTimeout(timers.get(name));
    timers.set(name, window.setTimeout(work, ms));
  };
  // Without a connection the router would reload the page and fail: check first whether the server answers.
  const lookAgain = () =>
    fetch("/healthz").then(
      () => {
        noteRefresh();
        refresh();
      },
      () => {
        missed = true;
        later("look", () => void lookAgain(), AGAIN_MS);
      },
    );
  const look = () => {
    missed = false;
    const heardAt = Date.now();
    // One's own save may have refreshed the page meanwhile, and brought this change too.
    later("look", () => void (lastRefreshAt() > heardAt || lookAgain()), LEAST_WAIT_MS + Math.random() * SPREAD_MS);
  };
  const isHere = () => {
    window.clearTimeout(timers.get("silent"));
    timers.delete("silent");
    say(null);
    document.documentElement.dataset.live = "on";
    if (missed && !document.hidden) look();
  };
  const isGone = () => {
    document.documentElement.dataset.live = "off";
    if (!timers.has("silent")) later("silent", () => void reportTrouble().then(say), SILENT_MS);
    // A refusal ends the stream for good; whoever signs in again, or a database that is back, reopens it.
    if (source?.readyState === EventSource.CLOSED) later("again", connect, AGAIN_MS);
  };
  function connect() {
    if (stopped) return;
    if (source) missed = true;
    source?.close();
    source = new EventSource("/live");
    source.addEventListener("open", isHere);
    source.addEventListener("change", () => (document.hidden ? (missed = true) : look()));
    source.addEventListener("job", ({ data }) => {
      const said = JSON.parse(data as string) as { readonly state: string };
      tellJob(said);
      if (said.state !== "running") look();
    });
    source.addEventListener("error", isGone);
  }
  const onVisible = () => !document.hidden && missed && look();
  document.addEventListener("visibilitychange", onVisible);
  connect();
  return () => {
    stopped = true;
    source?.close();
    for (const timer of timers.values()) window.clearTimeout(timer);
    document.removeEventListener("visibilitychange", onVisible);
  };
}

/** Why the stream is silent: nobody answers, the database does not answer, or nobody is signed in. */
function reportTrouble(): Promise<Trouble> {
  return fetch("/readyz").then(
    (answer) => (answer.ok ? "signed-out" : "lost"),
    () => "lost" as const,
  );
}
