"use client";
import { useMemo } from "react";
import { number, count } from "@/core/place/kinds/shared";
import { plantWater, tankLasts, type TankLasts } from "@/core/water/plantWater";
import type { TimerProgram } from "@/core/water/timer";
import { counted, formatNumber } from "@/core/units/format";
import { inUnit } from "@/features/frame/blank/blanks";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { TIMER_FIRST, TIMER_MEASURES, timerOf, type TimerMode } from "@/features/frame/blank/timerBlanks";
import { TimerSentence } from "@/features/frame/blank/TimerSentence";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { ClockRing } from "@/features/frame/plan/ClockRing";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { AnswerFrame, type AnswerRow } from "./AnswerFrame";
import { answerKey, type AnswerContext } from "./context";
import { KeepLoop } from "./KeepLoop";
import { useKept } from "./useKept";

type From = "drippers" | "channels";
const FROM = [
  { value: "drippers", label: "drippers" },
  { value: "channels", label: "channels" },
] as const;

const PLANTS = count("plants", "Plants", 1_000_000);
const TANK = { ...number("tankL", "Tank", "volume", 0.1, 1_000_000), optional: true } as const;
const REFILL = { ...number("refillLph", "Refill", "flow", 0, 1_000_000), optional: true } as const;
const MEASURES = {
  drippers: [
    PLANTS,
    count("each", "Drippers at each plant", 50),
    number("dripperLph", "Dripper", "flow", 0.05, 1000),
    TANK,
    REFILL,
  ],
  channels: [
    count("lines", "Channels", 2000),
    number("lineLph", "Flow of a channel", "lineFlow", 0.1, 10_000),
    count("plants", "Plants in each", 10_000),
    { ...number("drinkL", "A plant drinks a day", "volume", 0, 200) },
    TANK,
    REFILL,
  ],
} as const;

/** How much water each plant gets from a timer, and whether the tank lasts. */
export function WaterAnswer({ context }: { readonly context: AnswerContext }) {
  const [kept, keep] = useKept<{ from: From; timer: TimerMode }>("water", { from: "drippers", timer: "spread" });
  const { from, timer: mode } = kept;
  const us = context.units.system === "us";
  const measures = useMemo(() => [...MEASURES[from], ...TIMER_MEASURES[mode]], [from, mode]);
  const first = useMemo(
    () => ({
      ...(from === "drippers"
        ? { plants: "9", each: "2", dripperLph: us ? "0.5 gph" : "2 L/h" }
        : { lines: "12", lineLph: us ? "0.4 gpm" : "1.5 L/min", plants: "24", drinkL: us ? "5 fl oz" : "0.16 L" }),
      tankL: "",
      refillLph: "",
      ...TIMER_FIRST[mode],
    }),
    [from, mode, us],
  );
  const blanks = useBlanks(answerKey(`water ${from} ${mode}`), measures, first, context.units);
  const { good, units, typedUnits } = blanks;
  const found = useMemo(() => worked(from, mode, good), [from, mode, good]);
  const volume = (litres: number) => inUnit(litres, "volume", typedUnits.tankL, units);
  const isDrip = from === "drippers";
  const { water, timer } = found;
  const figure = volume(water.perDayL).split(" ");
  return (
    <AnswerFrame
      problems={blanks.problems}
      units={units}
      sentence={
        <>
          {isDrip ? (
            <>
              <MeasureBlank blanks={blanks} name="plants" /> plants, <MeasureBlank blanks={blanks} name="each" />{" "}
              <From from={from} onFrom={(next) => keep({ ...kept, from: next })} /> of{" "}
              <MeasureBlank blanks={blanks} name="dripperLph" /> at each.
            </>
          ) : (
            <>
              <MeasureBlank blanks={blanks} name="lines" />{" "}
              <From from={from} onFrom={(next) => keep({ ...kept, from: next })} /> with{" "}
              <MeasureBlank blanks={blanks} name="lineLph" /> each and <MeasureBlank blanks={blanks} name="plants" />{" "}
              plants in it, which drink <MeasureBlank blanks={blanks} name="drinkL" /> a day.
            </>
          )}{" "}
          The water runs{" "}
          <TimerSentence mode={mode} blanks={blanks} mark="." onMode={(next) => keep({ ...kept, timer: next })} /> The
          tank holds <MeasureBlank blanks={blanks} name="tankL" placeholder="how much?" /> and refills at{" "}
          <MeasureBlank blanks={blanks} name="refillLph" placeholder="how fast?" />.
        </>
      }
      figure={figure.slice(0, -1).join(" ")}
      unit={`${figure.at(-1)} a day ${isDrip ? "for each plant" : "flows past each plant"}`}
      about={`${volume(water.perRunL)} a run; ${counted(water.runs, "run")}, ${formatNumber(water.minutesPerDay, 1)} minutes a day`}
      rows={rowsOf(from, found, volume)}
      how={HOW[from]}
      picture={<ClockRing timer={timer} minutes={water.minutesPerDay} sizePx={280} />}
      keep={
        <KeepLoop
          context={context}
          isGood={blanks.problems.length === 0}
          change={{ timer, ...(good.tankL !== undefined && { tankL: good.tankL }) }}
        />
      }
    />
  );
}

function From({ from, onFrom }: { readonly from: From; readonly onFrom: (from: From) => void }) {
  return <ChoiceBlank name="from" label="Watered by" value={from} options={FROM} onValue={onFrom} />;
}

interface Found {
  readonly timer: TimerProgram;
  readonly water: ReturnType<typeof plantWater>;
  readonly takenPerDayL: number;
  /** Null where the tank is not told. */
  readonly lasts: TankLasts | null;
}

function worked(from: From, mode: TimerMode, good: Readonly<Record<string, number>>): Found {
  const timer = timerOf(mode, good) ?? { kind: "continuous" };
  const isDrip = from === "drippers";
  const plants = isDrip ? good.plants! : good.lines! * good.plants!;
  const perPlantLph = isDrip ? good.each! * good.dripperLph! : good.lineLph! / good.plants!;
  const water = plantWater({ perPlantLph, plants, timer });
  // Out of a channel the water comes back: what leaves the tank is what the plants drink, spread over the day.
  const takenPerDayL = isDrip ? water.allPerDayL : plants * good.drinkL!;
  const { tankL, refillLph = 0 } = good;
  const lasts =
    tankL === undefined
      ? null
      : isDrip
        ? tankLasts(tankL, perPlantLph * plants, refillLph, timer)
        : tankLasts(tankL, takenPerDayL / 24, refillLph, {
            kind: "every",
            everyMin: 60,
            runMin: 60,
            fromMin: 0,
            toMin: 1440,
          });
  return { timer, water, takenPerDayL, lasts };
}

function rowsOf(from: From, { water, takenPerDayL, lasts }: Found, volume: (litres: number) => string): AnswerRow[] {
  return [
    ...(from === "drippers" ? [{ what: "all plants, each run", figure: volume(water.allPerRunL) }] : []),
    { what: from === "drippers" ? "all plants, a day" : "all plants drink, a day", figure: volume(takenPerDayL) },
    lasts ? lastsRow(lasts, volume) : { what: "the tank lasts: tell what it holds", figure: "–" },
  ];
}

function lastsRow(lasts: TankLasts, volume: (litres: number) => string): AnswerRow {
  switch (lasts.kind) {
    case "keeps-up":
      return { what: "the tank refills in time; least in it", figure: volume(lasts.leastL) };
    case "lasts-days":
      return {
        what: "a full tank lasts",
        figure: lasts.days >= 366 ? "over a year" : counted(lasts.days, "day"),
        alarm: lasts.days < 2,
      };
    case "too-small":
      return { what: "one run takes more than the tank holds, by", figure: volume(lasts.missingL), alarm: true };
  }
}

const HOW: Readonly<Record<From, readonly string[]>> = {
  drippers: [
    "A run: drippers × their flow × minutes. A day: all its runs.",
    "Drippers give what is printed on them only at their pressure; a long or clogged line gives less at its end.",
    "The tank is followed from full, run by run; the refill flows all the time, up to the rim.",
  ],
  channels: [
    "Past a plant flows the channel’s flow ÷ its plants; nearly all of it comes back to the tank.",
    "Out of the tank goes what the plants drink; 0.16 L is a full-grown lettuce on a warm day.",
    "The tank is followed hour by hour from full; the refill flows all the time, up to the rim.",
  ],
};
