"use client";
import { useMemo } from "react";
import type { Loop } from "@/core/garden/garden";
import { solveBanks, type LoopPipes } from "@/core/garden/loopPipes";
import type { PumpTrial } from "@/core/garden/pumpTrial";
import { barrelRun } from "@/core/water/barrelRun";
import type { LoopPump } from "@/core/water/loopPump";
import type { Regulation } from "@/core/water/network/pressure";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

const REGULATES: Readonly<Record<Regulation, string>> = {
  regulates: "The regulator holds its head.",
  "too-little-flow": "So little flows that the regulator does not hold: the lines get nearly all that the mains have.",
  "too-much-flow": "More flows than the regulator is made for: it does not hold its head.",
  "too-little-head": "The mains bring less than the regulator is set to: the lines get what is left.",
};

/** Where no pump gives the pressure: a tank that stands higher, or the mains behind a regulator. */
export function NoPump({
  loop,
  pump,
  pipes,
  trial,
  isOpen,
  longestRunMin,
}: {
  readonly loop: Loop;
  readonly pump: LoopPump;
  readonly pipes: LoopPipes;
  readonly trial: PumpTrial;
  readonly isOpen: (key: string) => boolean;
  readonly longestRunMin: number;
}) {
  const units = useUnits();
  const run = useMemo(() => {
    if (pump.kind !== "gravity") return null;
    const barrel = { storedL: loop.normalFillL, fullL: loop.tankL, ...pump };
    return barrelRun(barrel, longestRunMin, (waterM) => solveBanks(pipes, waterM, isOpen, null).flow.flowLph);
  }, [loop, pump, pipes, isOpen, longestRunMin]);
  if (pump.kind === "mains")
    return (
      <p className="max-w-prose text-lg">
        The mains bring {quantityText(pump.supplyHeadM, "length", units)} of head, the regulator is set to{" "}
        {quantityText(pump.setHeadM, "length", units)}. {trial.low.regulation && REGULATES[trial.low.regulation]}
      </p>
    );
  if (!run) return null;
  return (
    <p className="max-w-prose text-lg">
      The water stands {quantityText(pipes.lowWaterM, "length", units)} to{" "}
      {quantityText(pipes.highWaterM, "length", units)} over the floor. A run of{" "}
      {quantityText(longestRunMin, "minutes", units)} from {quantityText(loop.normalFillL, "volume", units)} takes{" "}
      {quantityText(run.givenL, "volume", units)}: it begins with {quantityText(run.firstLph, "flow", units)} and ends
      with {quantityText(run.lastLph, "flow", units)}, as the level falls.
    </p>
  );
}
