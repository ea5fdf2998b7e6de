"use client";
import { useState } from "react";
import type { FilmLine } from "@/core/garden/filmPauses";
import type { LoopLight } from "@/core/garden/loopLight";
import { runsInTheDark } from "@/core/water/lightWindows";
import { PEAK_HOUR_SHARE } from "@/core/water/stillTank";
import { longestPauseByDayMin, timerRuns, type TimerProgram } from "@/core/water/timer";
import { longestPauseMin } from "@/core/water/waterHolding";
import { counted, percentText, quantityText } from "@/core/units/format";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";

/** Water that the root mat of a plant holds, L. @source common practice: a young mat less, a full one more */
const USUAL_MAT_L = 0.05;
const MOST_MAT_L = 5;

export interface TimerChecksProps {
  readonly timer: TimerProgram;
  readonly light: LoopLight;
  readonly film: readonly FilmLine[];
}

/** Whether the timer's runs fall in the light, and whether roots in film channels outlast its pauses. */
export function TimerChecks({ timer, light, film }: TimerChecksProps) {
  const dark =
    timer.kind === "continuous" || light.windows.length === 0
      ? []
      : runsInTheDark(timerRuns(timer, light.daylight), light.windows);
  const all = timerRuns(timer, light.daylight).length;
  const pauseMin = longestPauseByDayMin(timer, light.daylight);
  return (
    <>
      {dark.length > 0 && (
        <p className="mt-3 border-l-[6px] border-feed bg-feed-pale px-3 py-2">
          {dark.length === all ? "All runs fall" : `${dark.length} of ${counted(all, "run")} fall`} in the dark. Plants
          hardly drink then: a run or two through a hot night may be right, more keep roots wet and cold.
        </p>
      )}
      {pauseMin > 1 && film.length > 0 && <Pauses film={film} pauseMin={pauseMin} />}
    </>
  );
}

function Pauses({ film, pauseMin }: { film: readonly FilmLine[]; pauseMin: number }) {
  const units = useUnits();
  const [typed, setTyped] = useState<QuantityValue>(USUAL_MAT_L);
  const isGood = typeof typed === "number" && typed >= 0 && typed <= MOST_MAT_L;
  const matL = isGood ? typed : USUAL_MAT_L;
  const minutes = (value: number) => quantityText(Math.round(value), "minutes", units);
  const litres = (value: number) => quantityText(value, "volume", units);
  const lines = film.map((line) => ({
    ...line,
    allowedMin: longestPauseMin(line.filmL + line.plants * matL, line.needLpd, PEAK_HOUR_SHARE)!,
  }));
  const worst = lines.reduce((least, line) => (line.allowedMin < least.allowedMin ? line : least));
  const isLong = pauseMin > worst.allowedMin;
  return (
    <section className="mt-3" aria-label="Pauses">
      <p className={isLong ? "border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold" : ""}>
        The longest pause by day is {minutes(pauseMin)}; the roots of the {worst.stand} last{" "}
        <Why
          label="How long roots last"
          how="What stands in the thirstiest line as film, and in its root mats, ÷ what its plants drink in their peak hour."
          inputs={[
            ["film in the line", litres(worst.filmL)],
            ["root mats", litres(worst.plants * matL)],
            ["plants there", String(worst.plants)],
            ["drunk a day", litres(worst.needLpd)],
            ["of it in the peak hour", percentText(PEAK_HOUR_SHARE)],
          ]}
        >
          {minutes(worst.allowedMin)}
        </Why>{" "}
        in the peak hour{isLong ? ": they may wilt. Run it more often." : "."}
      </p>
      <div className="mt-2 w-56">
        <Field
          label="A root mat holds"
          hint="young ones less; weigh one wet and drained"
          error={isGood ? undefined : `From 0 to ${litres(MOST_MAT_L)}`}
        >
          {(aria) => <QuantityInput {...aria} dimension="volume" value={typed} onValue={setTyped} />}
        </Field>
      </div>
    </section>
  );
}
