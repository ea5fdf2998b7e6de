"use client";
import { useState } from "react";
import type { LoopChange } from "@/server/water/keepLoopSchema";
import { keepLoop } from "@/server/water/keepLoop";
import type { AnswerContext } from "./context";
import { Keep } from "./Keep";

/** Makes an answer about water the timer, the tank or the pump of a loop: one that is there, or a new one. */
export function KeepLoop({
  context,
  isGood,
  change,
  isNew = false,
}: {
  readonly context: AnswerContext;
  readonly isGood: boolean;
  readonly change: LoopChange;
  /** A new tank is offered first. */
  readonly isNew?: boolean;
}) {
  const { garden } = context;
  const [loopId, setLoopId] = useState<number | null>(isNew ? null : (garden?.loops[0]?.id ?? null));
  return (
    <Keep
      garden={garden}
      isGood={isGood}
      action={keepLoop}
      input={() => ({ loopId, ...change })}
      goTo={(id) => `/water?loop=${id}`}
    >
      <label className="mb-2 block">
        <span className="text-sm font-bold">Keep it for</span>
        <select
          className="input mt-1"
          value={String(loopId)}
          onChange={(event) => setLoopId(event.target.value === "null" ? null : Number(event.target.value))}
        >
          {garden?.loops.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
          <option value="null">a new tank</option>
        </select>
      </label>
    </Keep>
  );
}
