"use client";
import { useMemo, useState } from "react";
import type { DripLineAnswer, DrippedSpec } from "@/core/water/dripLine";
import { ALLOWED_SHARE, AVAILABLE_SHARE, lineRun } from "@/core/water/lineRun";
import type { TimerProgram } from "@/core/water/timer";
import { USUAL_RUN_SHARE } from "@/core/water/waterHolding";
import { counted, formatNumber, percentText, quantityText } from "@/core/units/format";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { useUnits } from "@/ui/units";
import { timerWords } from "../words";

interface RunFiguresProps {
  readonly spec: DrippedSpec;
  readonly answer: DripLineAnswer;
  readonly timer: TimerProgram;
  readonly drainShare: number;
  /** What a plant there drinks a day; 0 where none stands there. */
  readonly needLpd: number;
}

const BETWEEN = [
  { value: "drains", label: "drains" },
  { value: "full", label: "stays full" },
] as const;

/** What the loop's timer gives each plant: lines fill first and drain after, which short runs feel. */
export function RunFigures({ spec, answer, timer, drainShare, needLpd }: RunFiguresProps) {
  const units = useUnits();
  const [between, setBetween] = useState<"drains" | "full">("drains");
  const found = useMemo(
    () => lineRun(spec, answer, timer, between === "full", needLpd, drainShare),
    [spec, answer, timer, between, needLpd, drainShare],
  );
  if (!found) return null;
  const { run, runs, longestRunMin, lineVolumeL, perPlantLpd, holding, longestGapHours } = found;
  const litres = (value: number) => quantityText(value, "volume", units);
  const isShort = needLpd > 0 && perPlantLpd * (1 - drainShare) < needLpd;
  return (
    <section className="mt-8">
      <h2 className="text-2xl">What a run gives</h2>
      <p className="sentence mt-1 text-xl">
        The timer {timerWords(timer)}; between runs the line{" "}
        <ChoiceBlank
          name="between"
          label="Between runs the line"
          value={between}
          options={BETWEEN}
          onValue={setBetween}
        />
        .
      </p>
      <ul className="mt-2 max-w-prose space-y-1">
        <li>
          <b>{litres(run.perPlantL)} a plant</b> in a run of {quantityText(longestRunMin, "minutes", units)},{" "}
          {litres(perPlantLpd)} a day in {counted(runs, "run")}.{" "}
          {needLpd > 0 ? (
            <span className={isShort ? "font-bold text-alarm" : ""}>
              A plant there drinks {litres(needLpd)} a day
              {drainShare > 0 && `, and ${percentText(drainShare)} should drain`}
              {isShort ? ": it goes short." : "."}
            </span>
          ) : (
            "Nothing drinks there today."
          )}
        </li>
        {between === "drains" && (
          <li className={run.drainShare > 0.25 ? "font-bold text-alarm" : ""}>
            The line holds {litres(lineVolumeL)}: it fills for {formatNumber(run.fillS)} s before its emitters give
            evenly, and {litres(run.drainsL)} run out at its lowest emitters afterwards, {percentText(run.drainShare)}{" "}
            of the run.
            {run.drainShare > 0.25 && " Longer runs, or emitters that hold the water back, share it better."}
          </li>
        )}
        {holding && (
          <>
            <li className={holding.overfills ? "font-bold text-alarm" : ""}>
              A run brings {percentText(holding.runShare)} of the bucket’s volume ({percentText(USUAL_RUN_SHARE.least)}{" "}
              to {percentText(USUAL_RUN_SHARE.greatest)} suits many small runs)
              {holding.overfills ? ": more than was drawn since the last one, so that more drains than you want." : "."}
            </li>
            <li className={holding.driesOut ? "font-bold text-alarm" : ""}>
              In the longest pause by day, {formatNumber(longestGapHours, 1)} h, plants draw{" "}
              {percentText(holding.deficitShare)} of the {litres(holding.availableL)} that they can draw on (
              {percentText(AVAILABLE_SHARE)} of the volume); {percentText(ALLOWED_SHARE)} may be gone.
              {holding.driesOut && " It dries out further than that."}
            </li>
          </>
        )}
      </ul>
    </section>
  );
}
