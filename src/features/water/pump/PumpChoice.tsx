"use client";
import { useMemo } from "react";
import type { Loop } from "@/core/garden/garden";
import type { LoopPipes } from "@/core/garden/loopPipes";
import { tryPump, type PumpTrial } from "@/core/garden/pumpTrial";
import { COMMON_PUMPS } from "@/core/water/commonPumps";
import type { RealPump } from "@/core/water/loopPump";
import type { KnownPump } from "@/core/water/pumpCurve";
import { number } from "@/core/place/kinds/shared";
import { editText, formatNumber, quantityText } from "@/core/units/format";
import { saveLoop } from "@/server/water/actions";
import { formValues } from "@/features/frame/form/formValues";
import { LOOP } from "@/core/garden/entities/water";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";

interface PumpChoiceProps {
  readonly loop: Loop;
  readonly own: RealPump;
  readonly chosen: KnownPump | null;
  readonly pipes: LoopPipes;
  readonly closed: ReadonlySet<string>;
  readonly minutesPerDay: number;
  readonly onTry: (pump: KnownPump | null) => void;
}

const MEASURES = [
  number("flowAtNoLiftLph", "Flow at no lift", "flow", 1, 1_000_000),
  number("greatestLiftM", "Greatest lift", "length", 0.05, 500),
];
const VERDICT: Readonly<Record<PumpTrial["verdict"], string>> = {
  "cannot-lift": "cannot lift",
  short: "short",
  fits: "fits",
  ample: "ample",
  "past-end": "past its curve",
};

/** Other pumps on the same pipes: the sizes that are sold, and one by its label. */
export function PumpChoice({ loop, own, chosen, pipes, closed, minutesPerDay, onTry }: PumpChoiceProps) {
  const units = useUnits();
  const first = useMemo(
    () => ({ flowAtNoLiftLph: editText(3000, "flow", units), greatestLiftM: editText(3, "length", units) }),
    [units],
  );
  const blanks = useBlanks(`draft:pump:${loop.id}`, MEASURES, first, units);
  const rows = useMemo(() => {
    const isOpen = (key: string) => !closed.has(key);
    if (!pipes.banks.some(({ key }) => isOpen(key))) return [];
    return COMMON_PUMPS.filter(({ system }) => system === (units.system === "us" ? "us" : "metric"))
      .map(({ id, kind, flowAtNoLiftLph, greatestLiftM }) => {
        const pump: KnownPump = { kind: "label", flowAtNoLiftLph, greatestLiftM };
        return { id, kind, pump, trial: tryPump(pipes, pump, isOpen, minutesPerDay) };
      })
      .sort((one, two) => rankOf(one.trial) - rankOf(two.trial));
  }, [pipes, closed, minutesPerDay, units.system]);
  const save = useCommand(saveLoop, { done: "The pump is changed" });
  const { flowAtNoLiftLph, greatestLiftM } = blanks.good;
  return (
    <section className="mt-6">
      <h2 className="text-2xl">Other pumps on these pipes</h2>
      <Sentence problems={blanks.problems} size="line">
        One that says <MeasureBlank blanks={blanks} name="flowAtNoLiftLph" /> and{" "}
        <MeasureBlank blanks={blanks} name="greatestLiftM" /> on its label:
      </Sentence>
      <div className="mt-2">
        <Button
          disabled={blanks.problems.length > 0}
          onClick={() => onTry({ kind: "label", flowAtNoLiftLph: flowAtNoLiftLph!, greatestLiftM: greatestLiftM! })}
        >
          Try it
        </Button>
      </div>
      <ul className="mt-3 max-h-72 overflow-y-auto" aria-label="Sizes that are sold">
        {rows.map(({ id, kind, pump, trial }) => {
          const isChosen = chosen?.kind === "label" && pump.kind === "label" && same(chosen, pump);
          return (
            <li key={id} className="border-b border-rule">
              <button
                type="button"
                aria-pressed={isChosen}
                onClick={() => onTry(pump)}
                className={`grid min-h-11 w-full grid-cols-[minmax(0,1fr)_auto] items-center gap-x-3 py-1.5 text-left ${isChosen ? "bg-water-pale px-2" : ""}`}
              >
                <span>
                  {labelWords(pump, units)}
                  <span className="block text-sm text-soft">
                    {kind}, {formatNumber(trial.kwhPerDay, 2)} kWh a day
                  </span>
                </span>
                <span className="text-right">
                  <b className={trial.shareOfWanted < 1 ? "text-alarm" : ""}>{VERDICT[trial.verdict]}</b>
                  <span className="block text-sm text-soft">
                    {formatNumber(trial.shareOfWanted * 100)} % at the least bank
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      {chosen?.kind === "label" && (
        <Only right="plan">
          <div className="mt-3">
            <Button
              look="strong"
              disabled={save.busy}
              onClick={() =>
                void save
                  .run({ ...formValues(LOOP, loop), pump: withPump(own, chosen) })
                  .then((done) => done.ok && onTry(null))
              }
            >
              Put it into the {loop.name} loop
            </Button>
          </div>
        </Only>
      )}
    </section>
  );
}

type Label = Extract<KnownPump, { readonly kind: "label" }>;

const same = (one: Label, other: Label) =>
  one.flowAtNoLiftLph === other.flowAtNoLiftLph && one.greatestLiftM === other.greatestLiftM;

function labelWords(pump: KnownPump, units: ReturnType<typeof useUnits>): string {
  if (pump.kind !== "label") return "";
  return `${quantityText(pump.flowAtNoLiftLph, "flow", units)}, lifts ${quantityText(pump.greatestLiftM, "length", units)}`;
}

/** What fits comes first, the smallest of them; then what is ample, then what falls short. */
function rankOf({ verdict, shareOfWanted }: PumpTrial): number {
  const order = { fits: 0, ample: 1, "past-end": 2, short: 3, "cannot-lift": 4 };
  return order[verdict] * 1000 + (shareOfWanted < 1 ? 1 - shareOfWanted : Math.min(999, shareOfWanted));
}

/** Another pump on the pipe of this one. */
function withPump(own: RealPump, pump: Label): RealPump {
  const known: readonly string[] = own.kind === "table" ? ["points"] : ["flowAtNoLiftLph", "greatestLiftM"];
  const pipe = Object.entries(own).filter(([name]) => !known.includes(name));
  return { ...(Object.fromEntries(pipe) as unknown as RealPump), ...pump };
}
