"use client";
import { useEffect } from "react";

const MOST_TRIES = 8;
const FIRST_PAUSE_MS = 1000;

/**
 * A busy server answers 503 with Retry-After before it has looked at a request: whatever was asked is
 * asked again a little later, pages and commands alike.
 */
function patient(ask: typeof fetch): typeof fetch {
  return async (input, init) => {
    for (let tries = 1; ; tries++) {
      const again = input instanceof Request ? input.clone() : input;
      const answer = await ask(again, init);
      const wait = answer.status === 503 ? answer.headers.get("retry-after") : null;
      if (wait === null || tries === MOST_TRIES || init?.signal?.aborted) return answer;
      const pauseMs = Math.max(FIRST_PAUSE_MS, Number(wait) * 1000 || 0);
      await new Promise((resolve) => setTimeout(resolve, pauseMs * (0.5 + Math.random())));
    }
  };
}

if (typeof window !== "undefined") window.fetch = patient(window.fetch.bind(window));

/** Part of every page, so that its code runs there; it also tells when the page is ready for input. */
export function RetryBusy() {
  useEffect(() => {
    document.documentElement.dataset.alive = "on";
  }, []);
  return null;
}
