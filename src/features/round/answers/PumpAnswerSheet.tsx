"use client";
import { useMemo } from "react";
import { count, number } from "@/core/place/kinds/shared";
import { ENDS_K, PIPE_SIZES } from "@/core/water/pipeSizes";
import { PLAIN_PIPE, pumpSystem, type RealPump } from "@/core/water/loopPump";
import { pumpAnswer, type PumpAnswer } from "@/core/water/pumpAnswer";
import { labelPumpCurve } from "@/core/water/pumpCurve";
import { pipeHeadLossM } from "@/core/water/pipeFriction";
import { inUnit, spokenText } from "@/features/frame/blank/blanks";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { NoLabel } from "@/features/frame/blank/NoLabel";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { PumpPicture } from "@/features/frame/plan/PumpPicture";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { AnswerFrame } from "./AnswerFrame";
import { answerKey, type AnswerContext } from "./context";
import { KeepLoop } from "./KeepLoop";
import { useKept } from "./useKept";

const MEASURES = [
  number("flowAtNoLiftLph", "Flow at no lift", "flow", 1, 1_000_000),
  number("greatestLiftM", "Greatest lift", "length", 0.05, 500),
  number("liftM", "Lift", "length", -20, 200),
  number("pipeM", "Pipe", "length", 0, 5000),
  count("elbows", "Elbows", 500, undefined, 0),
  number("wantedLph", "Flow wanted", "flow", 0.1, 1_000_000),
];

/** Whether a pump does, by its label. */
export function PumpAnswerSheet({ context }: { readonly context: AnswerContext }) {
  const us = context.units.system === "us";
  const [pipeId, setPipe] = useKept<string>("pump pipe", us ? "s40-3-4" : "hose-19");
  const pipe = PIPE_SIZES.find(({ id }) => id === pipeId) ?? PIPE_SIZES[0]!;
  const first = useMemo(
    () =>
      us
        ? {
            flowAtNoLiftLph: "200 gph",
            greatestLiftM: "6 ft",
            liftM: "3 ft",
            pipeM: "10 ft",
            elbows: "4",
            wantedLph: "90 gph",
          }
        : {
            flowAtNoLiftLph: "800 L/h",
            greatestLiftM: "1.8 m",
            liftM: "0.9 m",
            pipeM: "3 m",
            elbows: "4",
            wantedLph: "350 L/h",
          },
    [us],
  );
  const blanks = useBlanks(answerKey("pump"), MEASURES, first, context.units);
  const { good, units, typedUnits } = blanks;
  const pump = useMemo((): RealPump => pumpOf(good, pipe.boreMm), [good, pipe.boreMm]);
  const answer = useMemo(() => pumpAnswer(pumpSystem(pump), good.wantedLph!), [pump, good.wantedLph]);
  const flow = (lph: number) => inUnit(lph, "flow", typedUnits.wantedLph ?? typedUnits.flowAtNoLiftLph, units);
  const length = (metres: number) => inUnit(metres, "length", typedUnits.liftM ?? typedUnits.greatestLiftM, units);
  const [figure, ...unit] = flow(answer.duty.flowLph).split(" ");
  const { duty } = answer;
  return (
    <AnswerFrame
      problems={blanks.problems}
      units={units}
      sentence={
        <>
          The label says <MeasureBlank blanks={blanks} name="flowAtNoLiftLph" /> and{" "}
          <MeasureBlank blanks={blanks} name="greatestLiftM" />. It lifts the water{" "}
          <MeasureBlank blanks={blanks} name="liftM" /> through <MeasureBlank blanks={blanks} name="pipeM" /> of{" "}
          <ChoiceBlank
            name="pipe"
            label="Pipe size"
            value={pipe.id}
            options={PIPE_SIZES.filter(({ id, system }) => system === units.system || id === pipe.id).map(
              ({ id, name }) => ({
                value: id,
                label: name,
              }),
            )}
            onValue={setPipe}
          />{" "}
          with <MeasureBlank blanks={blanks} name="elbows" /> elbows, and should give{" "}
          <MeasureBlank blanks={blanks} name="wantedLph" />.
          <NoLabel
            units={units}
            onPick={({ flowAtNoLiftLph, greatestLiftM }) => {
              blanks.type("flowAtNoLiftLph", spokenText(flowAtNoLiftLph, "flow", units));
              blanks.type("greatestLiftM", spokenText(greatestLiftM, "length", units));
            }}
          />
        </>
      }
      figure={figure!}
      unit={unit.join(" ")}
      about={
        <>
          <strong className={ALARMING.has(answer.verdict) ? "text-alarm" : "text-leaf"}>
            {VERDICTS[answer.verdict]}
          </strong>
          {answer.measureIt &&
            " An estimate this near to the limit decides nothing: measure it with a bucket and a watch."}
        </>
      }
      rows={
        duty.kind === "cannot-lift" || duty.kind === "before-table"
          ? [{ what: "it would have to lift", figure: length(duty.neededHeadM), alarm: true }]
          : [
              { what: "of what is wanted", figure: `${Math.round(answer.shareOfFlowWanted * 100)} %` },
              { what: "lost in pipe and elbows", figure: length(duty.lossM) },
              {
                what: "of its greatest lift is used by the height",
                figure: `${Math.round(answer.shareOfGreatestLift * 100)} %`,
              },
            ]
      }
      how={HOW}
      caution="Pumps run on a circuit with residual-current (ground-fault) protection, their cable with a drip loop; a licensed electrician connects them."
      picture={
        <PumpPicture
          curve={curveOf(good)}
          system={(lph) => good.liftM! + lossM(lph, pump)}
          duty={duty}
          wantedLph={good.wantedLph!}
          flow={flow}
          length={length}
        />
      }
      keep={<KeepLoop context={context} isGood={blanks.problems.length === 0} change={{ pump }} />}
    />
  );
}

const curveOf = (good: Readonly<Record<string, number>>) => labelPumpCurve(good.flowAtNoLiftLph!, good.greatestLiftM!);
const lossM = (lph: number, pump: RealPump) => pipeHeadLossM(lph, pumpSystem(pump).pipe);

function pumpOf(good: Readonly<Record<string, number>>, boreMm: number): RealPump {
  return {
    kind: "label",
    flowAtNoLiftLph: good.flowAtNoLiftLph!,
    greatestLiftM: good.greatestLiftM!,
    highestOutletM: good.liftM!,
    lowestWaterM: 0,
    headWantedM: 0,
    pipeLengthM: good.pipeM!,
    boreMm,
    elbows: good.elbows!,
    valves: 0,
    fittingsK: ENDS_K,
    ...PLAIN_PIPE,
    nonReturnValve: false,
    waterSinksM: 0,
  };
}

const ALARMING = new Set<PumpAnswer["verdict"]>(["cannot-lift", "short", "not-known"]);
const VERDICTS: Readonly<Record<PumpAnswer["verdict"], string>> = {
  "cannot-lift": "It cannot lift the water that high.",
  short: "It gives less than is wanted.",
  fits: "It does.",
  ample: "It gives far more than is wanted: a valve or a smaller pump would do.",
  "past-end": "It gives more than its label tells of: no figure beyond that.",
  "not-known": "Of so little flow its figures tell nothing.",
};

const HOW = [
  "From two figures of a label the curve is guessed as lift = greatest lift × (1 − (flow ÷ flow at no lift)²).",
  "It works where that curve meets the height and what pipe and elbows take at that flow (Darcy–Weisbach; elbow 0.9, inlet 0.5, outlet 1).",
  "It fits from what is wanted up to one and a half times that; within 15 % of a limit the label is not sure enough.",
];
