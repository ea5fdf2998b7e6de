"use client";
import { useEffect, useState } from "react";
import type { PlanInput } from "@/core/batches/types";

const AGAIN_MS = 3000;

/**
 * What the plan is worked out from, for trying out moves and series: fetched when the sheet stands, so that the sheet itself
 * comes without it.
 *
 * @param point how far the garden has moved; another one fetches it again
 * @returns null until it is there; the last one until a newer one is
 */
export function usePlanInput(point: string): PlanInput | null {
  const [input, setInput] = useState<PlanInput | null>(null);
  useEffect(() => {
    const stop = new AbortController();
    let timer: number | undefined;
    const ask = () =>
      fetch("/batches/plan.json", { signal: stop.signal })
        .then(async (answer) => {
          if (!answer.ok) throw new Error(String(answer.status));
          setInput((await answer.json()) as PlanInput);
        })
        .catch(() => {
          if (!stop.signal.aborted) timer = window.setTimeout(() => void ask(), AGAIN_MS);
        });
    void ask();
    return () => {
      stop.abort();
      window.clearTimeout(timer);
    };
  }, [point]);
  return input;
}
