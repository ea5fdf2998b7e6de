"use client";
import { plantsByStage } from "@/core/batches/timeline";
import { sowDayFor } from "@/core/growth/sowDay";
import { stageBoundaries, stallOf } from "@/core/growth/stageDays";
import { cellsToSow, keptInCell } from "@/core/growth/cellsToSow";
import { cellsForVaryingLots } from "@/core/growth/varyingLots";
import { lotWarnings, seedOnHandG } from "@/core/garden/seed";
import { seedNeed, seedToOrder } from "@/core/growth/seedNeed";
import { dayInWords, type Day } from "@/core/units/day";
import { GREATEST } from "@/core/units/range";
import { counted, formatNumber, quantityText } from "@/core/units/format";
import type { GrowingAreaRow, Variety } from "@/core/garden/garden";
import { Why } from "@/ui/Why";
import { useUnits } from "@/ui/units";
import { CLOCK_HOW, stallWords } from "./clockWords";
import { lotWarningWords } from "./SeedCard";

interface SowingAnswerProps {
  readonly variety: Variety;
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly direction: "back" | "forward";
  readonly day: Day;
  readonly target: number;
  readonly confidence: number;
  readonly spread: number;
  /** null: not in whole trays. */
  readonly cellsPerTray: number | null;
  readonly sowWeekdays: readonly number[];
  readonly today: Day;
}

/** The day to sow, cells, seeds and the way through the stages. */
export function SowingAnswer({
  variety,
  growingAreas,
  direction,
  day,
  sowWeekdays,
  today,
  ...wish
}: SowingAnswerProps) {
  const units = useUnits();
  const back = direction === "back" ? sowDayFor(day, variety.stages, sowWeekdays) : null;
  const isNever = back !== null && "kind" in back;
  const boundaries = back && !("kind" in back) ? back.boundaries : stageBoundaries(day, variety.stages);
  const stall = stallOf(boundaries, variety.stages);
  if (isNever || stall) return <Alarm>{stallWords(variety, stall)}</Alarm>;
  const laterSurvival = variety.stages.slice(1).map((stage) => stage.survival);
  const asked = {
    targetPlants: wish.target,
    germination: variety.germination,
    seedsPerCell: variety.seedsPerCell,
    thinTo: keptInCell(variety),
    laterSurvival,
    confidence: wish.confidence,
  };
  const odds = cellsToSow(asked);
  if ("kind" in odds)
    return <Alarm>The seed of {variety.name} never comes up: its germination or a share that survives is 0.</Alarm>;
  const varying = wish.spread > 0 ? cellsForVaryingLots(asked, wish.spread) : odds;
  if ("kind" in varying)
    return <Alarm>No number of cells gives that chance where sowings differ so much: sow twice, from two lots.</Alarm>;
  const need = seedNeed({
    cells: varying.cells,
    seedsPerCell: variety.seedsPerCell,
    seedsPerG: variety.seedsPerG,
    cellsPerTray: wish.cellsPerTray,
    pricePerG: variety.seedPricePerG,
  });
  const counts = plantsByStage({ cells: need.cells, targetPlants: wish.target }, variety);
  return (
    <section aria-live="polite" aria-label="When and how many">
      <div className="flex flex-wrap gap-x-10 gap-y-3">
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
              how="The least number of cells with which a binomial count of plants reaches the target as often as asked for. A cell counts when as many of its seeds come up as are kept in it, and it survives every later stage. Where sowings differ, the germination of each is drawn around its mean."
              inputs={[
                ["a cell becomes a plant", `${(odds.cellToPlant * 100).toFixed(1)} %`],
                ["about a 50 % chance", counted(odds.expectedCells, "cell")],
                ["by chance alone", counted(odds.cells, "cell")],
                ["these reach it in", `${(varying.probability * 100).toFixed(1)} %`],
              ]}
            >
              {need.cells}
            </Why>
          </span>
          {need.trays !== null && <span className="block text-soft">in {counted(need.trays, "whole tray")}</span>}
        </p>
        <p>
          <span className="block text-soft">seeds</span>
          <span className="sign text-5xl">
            <Why
              label="Seeds"
              how="Cells × seeds in each; the weight by seeds in a gram."
              inputs={[["seeds in a gram", formatNumber(variety.seedsPerG, 1)]]}
            >
              {formatNumber(need.seeds)}
            </Why>
          </span>
          <span className="text-soft"> {quantityText(need.grams, "mass", units)}</span>
          {need.cost !== null && (
            <span className="block text-soft">
              {quantityText(need.cost, "money", units)}
              {need.costPerTray !== null && `, ${quantityText(need.costPerTray, "money", units)} a tray`}
            </span>
          )}
        </p>
        {variety.lots.length > 0 && <OnShelf variety={variety} grams={need.grams} sowDay={boundaries[0]!} />}
        <p>
          <span className="block text-soft">ready on</span>
          <span className="sign text-5xl">
            <Why label="Ready on" how={CLOCK_HOW[variety.clock]}>
              {dayInWords(boundaries.at(-1)!, "weekday")}
            </Why>
          </span>
        </p>
      </div>
      {lotWarnings(variety.lots, today).map((warning) => (
        <p key={warning.lot} role="alert" className="mt-2 font-bold text-alarm">
          {lotWarningWords(warning)}
        </p>
      ))}
      {back && !("kind" in back) && (
        <p className="mt-2">
          {back.daysEarly === 0
            ? "Ready on the very day."
            : `Ready ${counted(back.daysEarly, "day")} early; it keeps ${counted(variety.pattern.keepsDays, "day")}.`}{" "}
          {back.daysEarly > variety.pattern.keepsDays && "It has to be held longer than it keeps. "}
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
            <tr key={index} className="border-t border-rule">
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

/** What of the seed is on the shelf, and what has to be ordered by when. */
function OnShelf({
  variety,
  grams,
  sowDay,
}: {
  readonly variety: Variety;
  readonly grams: number;
  readonly sowDay: Day;
}) {
  const units = useUnits();
  const onHandG = seedOnHandG(variety.lots);
  const { gramsToBuy, orderBy } = seedToOrder(Math.min(GREATEST, grams), onHandG, sowDay, variety.seedLeadDays);
  return (
    <p>
      <span className="block text-soft">on the shelf</span>
      <span className="sign text-3xl">{quantityText(onHandG, "mass", units)}</span>
      {orderBy !== null && (
        <span className="block font-bold text-alarm">
          buy {quantityText(gramsToBuy, "mass", units)}, order by {dayInWords(orderBy)}
        </span>
      )}
    </p>
  );
}

function Alarm({ children }: { readonly children: React.ReactNode }) {
  return (
    <p role="alert" className="font-bold text-alarm">
      {children}
    </p>
  );
}
