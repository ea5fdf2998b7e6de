"use client";
import { useState } from "react";
import { plantsByStage } from "@/core/batches/timeline";
import { sowDayFor } from "@/core/growth/sowDay";
import { stageBoundaries } from "@/core/growth/stageDays";
import { cellsToSow } from "@/core/growth/cellsToSow";
import { dayInWords, type Day } from "@/core/units/day";
import { counted, formatNumber } from "@/core/units/format";
import type { Variety } from "@/core/garden/garden";
import type { GrowingAreaRow } from "@/core/garden/garden";
import { DayInput } from "@/ui/DayInput";
import { Empty } from "@/ui/Empty";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { Why } from "@/ui/Why";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";

export interface SowingSheetProps {
  readonly varieties: readonly Variety[];
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly today: Day;
  readonly sowWeekdays: readonly number[];
}

const CONFIDENCES = [0.8, 0.9, 0.95] as const;

/** From the day wanted back to sowing, or from sowing on to harvest; and how many cells it takes. */
export function SowingSheet({ varieties, growingAreas, today, sowWeekdays }: SowingSheetProps) {
  const [varietyId, setVarietyId] = useState(varieties[0]?.id ?? 0);
  const [direction, setDirection] = useState<"back" | "forward">("back");
  const [day, setDay] = useState<Day | null>(today + 56);
  const [plants, setPlants] = useState<QuantityValue>(40);
  const [confidence, setConfidence] = useState<(typeof CONFIDENCES)[number]>(0.9);
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
        <Field
          label="Chance to reach them"
          hint="One bad tray is not covered: lots and trays differ more than single seeds."
        >
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={confidence}
              onChange={(event) => setConfidence(Number(event.target.value) as typeof confidence)}
            >
              {CONFIDENCES.map((value) => (
                <option key={value} value={value}>
                  {value * 100} % chance
                </option>
              ))}
            </select>
          )}
        </Field>
      </form>
      {day !== null && target !== null && (
        <Answer {...{ variety, growingAreas, direction, day, target, confidence, sowWeekdays, today }} />
      )}
    </div>
  );
}

interface AnswerProps extends Pick<SowingSheetProps, "growingAreas" | "sowWeekdays" | "today"> {
  readonly variety: Variety;
  readonly direction: "back" | "forward";
  readonly day: Day;
  readonly target: number;
  readonly confidence: number;
}

function Answer({ variety, growingAreas, direction, day, target, confidence, sowWeekdays, today }: AnswerProps) {
  const units = useUnits();
  const stages = variety.stages.map((stage) => stage.daysByMonth);
  const back = direction === "back" ? sowDayFor(day, stages, sowWeekdays) : null;
  const boundaries = back?.boundaries ?? stageBoundaries(day, stages);
  const laterSurvival = variety.stages.slice(1).map((stage) => stage.survival);
  const odds = cellsToSow({
    targetPlants: target,
    germination: variety.germination,
    seedsPerCell: variety.seedsPerCell,
    laterSurvival,
    confidence,
  });
  if ("kind" in odds)
    return (
      <p role="alert" className="font-bold text-alarm">
        The seed of {variety.name} never comes up: its germination or a share that survives is 0.
      </p>
    );
  const { cells } = odds;
  const counts = plantsByStage({ cells, targetPlants: target }, variety);
  const seeds = cells * variety.seedsPerCell;
  return (
    <section aria-live="polite">
      <div className="flex flex-wrap gap-x-12 gap-y-3">
        <p>
          <span className="block text-soft">sow on</span>
          <span className="sign text-5xl">{dayInWords(boundaries[0]!, "weekday")}</span>
          {boundaries[0]! < today && <span className="block font-bold text-alarm">that day is past</span>}
        </p>
        <p>
          <span className="block text-soft">cells</span>
          <span className="sign text-5xl">
            <Why
              label="Cells to sow"
              how="The least number of cells with which a binomial count of plants reaches the target as often as asked for. A cell becomes a plant when one of its seeds comes up and it survives every later stage."
              inputs={[
                ["a cell becomes a plant", `${(odds.cellToPlant * 100).toFixed(1)} %`],
                ["about a 50 % chance", counted(odds.expectedCells, "cell")],
                ["this many reach it", `${(odds.probability * 100).toFixed(1)} %`],
              ]}
            >
              {cells}
            </Why>
          </span>
        </p>
        <p>
          <span className="block text-soft">seeds</span>
          <span className="sign text-5xl">
            <Why
              label="Seeds"
              how="Cells × seeds in each; the weight by seeds in a gram."
              inputs={[["seeds in a gram", formatNumber(variety.seedsPerG, 1)]]}
            >
              {formatNumber(seeds)}
            </Why>
          </span>
          <span className="text-soft"> {quantityText(seeds / variety.seedsPerG, "mass", units)}</span>
        </p>
        <p>
          <span className="block text-soft">ready on</span>
          <span className="sign text-5xl">
            <Why
              label="Ready on"
              how="From the sow day through the stages: each day counts as a share of its stage, by the length that the stage has in the month of that day."
            >
              {dayInWords(boundaries.at(-1)!, "weekday")}
            </Why>
          </span>
        </p>
      </div>
      {back && (
        <p className="mt-2">
          {back.daysEarly === 0
            ? "Ready on the very day."
            : `Ready ${counted(back.daysEarly, "day")} early; it keeps ${counted(variety.pattern.keepsDays, "day")}.`}{" "}
          One allowed sowing day later would be late.
        </p>
      )}
      <table className="mt-4 w-full max-w-2xl">
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal">stage</th>
            <th className="font-normal">in</th>
            <th className="font-normal">from</th>
            <th className="text-right font-normal">days</th>
            <th className="text-right font-normal">plants</th>
          </tr>
        </thead>
        <tbody>
          {variety.stages.map((stage, index) => (
            <tr key={stage.name} className="border-t border-rule">
              <th scope="row" className="sign py-1.5 text-left text-xl">
                {stage.name}
              </th>
              <td>{growingAreas.find((growingArea) => growingArea.id === stage.growingAreaId)?.name}</td>
              <td>{dayInWords(boundaries[index]!, "weekday")}</td>
              <td className="figure !text-xl text-right">{boundaries[index + 1]! - boundaries[index]!}</td>
              <td className="figure !text-xl text-right">{counts[index]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
