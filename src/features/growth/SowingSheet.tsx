"use client";
import { useState } from "react";
import type { Day } from "@/core/units/day";
import type { GrowingAreaRow, Variety } from "@/core/garden/garden";
import { DayInput } from "@/ui/DayInput";
import { Empty } from "@/ui/Empty";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { SeedWays } from "./SeedWays";
import { SowingAnswer } from "./SowingAnswer";

export interface SowingSheetProps {
  readonly varieties: readonly Variety[];
  readonly growingAreas: readonly GrowingAreaRow[];
  /** Of the growing areas with trays of cells. */
  readonly cellsPerTray: Readonly<Record<number, number>>;
  readonly today: Day;
  readonly sowWeekdays: readonly number[];
}

const CONFIDENCES = [0.8, 0.9, 0.95] as const;
/** How much sowings of the same seed differ, standard deviation as a share. */
const SPREADS = [
  [0, "by chance alone"],
  [0.03, "a little: ±3 in 100"],
  [0.06, "as usual: ±6 in 100"],
  [0.12, "much: ±12 in 100"],
] as const;

/** From the day wanted back to sowing, or from sowing on to harvest; and how many cells it takes. */
export function SowingSheet({ varieties, growingAreas, cellsPerTray, today, sowWeekdays }: SowingSheetProps) {
  const [varietyId, setVarietyId] = useState(varieties[0]?.id ?? 0);
  const [direction, setDirection] = useState<"back" | "forward">("back");
  const [day, setDay] = useState<Day | null>(today + 56);
  const [plants, setPlants] = useState<QuantityValue>(40);
  const [confidence, setConfidence] = useState<number>(0.9);
  const [spread, setSpread] = useState<number>(0);
  const [wholeTrays, setWholeTrays] = useState(false);
  const variety = varieties.find((candidate) => candidate.id === varietyId);
  if (!variety)
    return (
      <Empty
        title="No variety yet"
        example="Enter one under Crops; then a wanted day gives its sow day here, and a number of plants its cells."
      />
    );
  const target =
    typeof plants === "number" && Number.isInteger(plants) && plants > 0 && plants <= 100_000 ? plants : null;
  const trayCells = cellsPerTray[variety.stages[0]!.growingAreaId] ?? null;
  const wish = { target, confidence, spread, cellsPerTray: wholeTrays ? trayCells : null };
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[320px_1fr]">
      <form className="space-y-3" onSubmit={(event) => event.preventDefault()}>
        <Field label="Variety">
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={varietyId}
              onChange={(event) => setVarietyId(Number(event.target.value))}
            >
              {varieties.map((candidate) => (
                <option key={candidate.id} value={candidate.id}>
                  {candidate.name}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Count from">
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={direction}
              onChange={(event) => setDirection(event.target.value as "back" | "forward")}
            >
              <option value="back">the day it is wanted, back to sowing</option>
              <option value="forward">the day it is sown, on to harvest</option>
            </select>
          )}
        </Field>
        <Field label={direction === "back" ? "Wanted on" : "Sown on"} error={day === null ? "Choose a day" : undefined}>
          {(aria) => <DayInput {...aria} value={day} onValue={setDay} />}
        </Field>
        <Field
          label="Plants wanted at the end"
          error={target === null ? "A whole number from 1 to 100 000" : undefined}
        >
          {(aria) => <QuantityInput {...aria} dimension="count" value={plants} onValue={setPlants} />}
        </Field>
        <Field label="Chance to reach them">
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={confidence}
              onChange={(event) => setConfidence(Number(event.target.value))}
            >
              {CONFIDENCES.map((value) => (
                <option key={value} value={value}>
                  {value * 100} % chance
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field
          label="Sowings differ"
          hint={spread === 0 ? "One bad tray is not covered: lots and trays differ more than single seeds." : undefined}
        >
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={spread}
              onChange={(event) => setSpread(Number(event.target.value))}
            >
              {SPREADS.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </select>
          )}
        </Field>
        {trayCells !== null && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              className="size-5"
              checked={wholeTrays}
              onChange={(event) => setWholeTrays(event.target.checked)}
            />
            Whole trays of {trayCells} cells
          </label>
        )}
      </form>
      {day !== null && target !== null && (
        <div className="space-y-6">
          <SowingAnswer {...{ variety, growingAreas, direction, day, today, sowWeekdays }} {...wish} target={target} />
          <SeedWays key={variety.id} variety={variety} target={target} confidence={confidence} />
        </div>
      )}
    </div>
  );
}
