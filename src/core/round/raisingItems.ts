import type { PlacedStay } from "../batches/places/areaPlaces";
import { wholeUp } from "../numeric/whole";
import { keptInCell } from "../growth/cellsToSow";
import { isSownInTrays } from "../growth/cropKind";
import { seedOfBatchG } from "../growth/seedNeed";
import { dayOfShare } from "../growth/stageDays";
import { stepDay } from "../growth/stepDay";
import type { Day } from "../units/day";
import { BARE, type RoundGrowingArea, type RoundInput, type RoundItem } from "./types";
import { growingAreaStop, whereOf, type IndexedInput } from "./where";

/** What is done with seed and young plants besides sowing and the moves: soaked, counted, raised by their steps, moved from zone to zone. */
export function raisingItems(growingArea: RoundGrowingArea, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  return [
    ...soakItems(growingArea, placed, input),
    ...countItems(growingArea, placed, input),
    ...stepItems(growingArea, placed, input),
    ...alongItems(growingArea, placed, input),
  ];
}

type IndexedBatch = RoundInput["plan"]["batches"][number];

/** Seed that soaks first is put in water as long before its sow day as it soaks, whole days up; off the rack. */
function soakItems(growingArea: RoundGrowingArea, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const batch = input.batchById.get(stay.batchId);
  const soakH = batch?.variety.soakH ?? 0;
  if (!batch || soakH === 0 || stay.stage !== 0 || stay.begun || batch.batch.clearedDay !== null) return [];
  const { variety } = batch;
  const due = batch.batch.sowDay - wholeUp(soakH / 24);
  if (due > input.today) return [];
  return [
    {
      ...BARE,
      key: `soak:${stay.batchId}`,
      stop: growingAreaStop(growingArea),
      task: {
        ...{ kind: "step", step: "soak", batchId: stay.batchId, variety: variety.name, note: "" },
        ...{ sownOn: batch.batch.sowDay, where: whereOf(growingArea, placed), plants: stay.plants },
        ...{ thinTo: 1, daysLeft: 0 },
        soak: { seedG: seedOfBatchG({ ...variety, seedsPerG: variety.seedsPerG ?? 1 }, stay.plants), soakH },
      },
      cautions: variety.foodSafetySensitive ? ["sprouts"] : [],
      due,
      ageDays: input.today - due,
    },
  ];
}

/** Seedlings are looked for this long before they must be up. */
const COUNT_AHEAD_DAYS = 2;
/** A step rolls over for this long. */
const STEP_ROLL_OVER_DAYS = 14;

/** What was entered as it stood was raised before: of it only today's and later work is asked for. */
function isBefore({ batch }: IndexedBatch, stage: number, due: Day, { today }: IndexedInput): boolean {
  return due < today && batch.begun.find(({ position }) => position === stage)?.asItStood === true;
}

/** What is counted of a stage. */
function countsOf({ variety }: IndexedBatch, stage: number): "trays" | "cells" | "plants" {
  if (isSownInTrays(variety.kind)) return "trays";
  return stage === 0 && variety.stages.length > 1 ? "cells" : "plants";
}

/** A sowing that must be up by a day: counted shortly before, and missed until somebody did. Trays sown broadcast are not. */
function countItems(growingArea: RoundGrowingArea, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const batch = input.batchById.get(stay.batchId);
  const within = batch?.variety.upWithinDays ?? null;
  if (!batch || within === null || stay.stage !== 0 || !stay.begun || isSownInTrays(batch.variety.kind)) return [];
  const begun = batch.batch.begun.find(({ position }) => position === 0)!;
  const upBy = begun.day + within;
  const isOver = batch.batch.clearedDay !== null || batch.stays[1]?.begun === true;
  // Counted before the day, it is counted once more on it: two counts tell how fast the seed is.
  const isCounted = begun.countedOf != null && ((begun.countedOn ?? upBy) >= upBy || input.today < upBy);
  if (
    isOver ||
    isCounted ||
    isBefore(batch, 0, upBy, input) ||
    input.today < upBy - Math.min(COUNT_AHEAD_DAYS, within - 1)
  )
    return [];
  const due = Math.min(input.today, upBy);
  return [
    {
      ...BARE,
      key: `count:${stay.batchId}`,
      stop: growingAreaStop(growingArea),
      task: {
        kind: "count-seedlings",
        batchId: stay.batchId,
        variety: batch.variety.name,
        where: whereOf(growingArea, placed),
        sownOn: begun.day,
        seeds: stay.plants * batch.variety.seedsPerCell,
        upBy,
      },
      due,
      ageDays: input.today - due,
    },
  ];
}

/** Steps of a stage that has begun, from the day they are due until they are done or the plants have moved on. */
function stepItems(growingArea: RoundGrowingArea, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const batch = input.batchById.get(stay.batchId);
  const steps = batch?.variety.steps ?? [];
  if (!batch || steps.length === 0 || !stay.begun || batch.batch.clearedDay !== null) return [];
  if (batch.stays[stay.stage + 1]?.begun) return [];
  const { variety } = batch;
  return steps
    .filter(({ stageNumber }) => stageNumber === stay.stage + 1)
    .flatMap(({ id, kind, due: when, note }): RoundItem[] => {
      const due = stepDay(when, stay.from, variety.stages[stay.stage]!);
      // A step of long ago was done without being ticked.
      if (due > input.today || input.today - due > STEP_ROLL_OVER_DAYS) return [];
      if (isBefore(batch, stay.stage, due, input)) return [];
      return [
        {
          ...BARE,
          key: `step:${stay.batchId}:${id}`,
          stop: growingAreaStop(growingArea),
          task: {
            ...{
              kind: "step",
              step: kind,
              batchId: stay.batchId,
              variety: variety.name,
              note,
              counts: countsOf(batch, stay.stage),
            },
            ...{ sownOn: batch.stays[0]!.from, where: whereOf(growingArea, placed), plants: stay.plants },
            ...{ thinTo: keptInCell(variety), daysLeft: Math.max(0, stay.plannedEnd - input.today) },
          },
          due,
          ageDays: input.today - due,
        },
      ];
    });
}

/** Weeks spent in each zone of the lines of a growing area, closest first; none where its lines are not graded. */
function weeksByZone({ stands }: RoundGrowingArea): readonly number[] {
  const graded = stands.flatMap(({ spec }) => (spec.kind === "channel-bank" && spec.zones.length > 1 ? [spec] : []));
  return graded[0]?.zones.map(({ weeks }) => weeks) ?? [];
}

/** On graded lines plants move on from zone to zone: each has the part of their stage that it has of the weeks of all. */
function alongItems(growingArea: RoundGrowingArea, placed: PlacedStay, input: IndexedInput): RoundItem[] {
  const { stay } = placed;
  const weeks = weeksByZone(growingArea);
  const sum = weeks.reduce((all, one) => all + one, 0);
  const batch = input.batchById.get(stay.batchId);
  if (!batch || weeks.length < 2 || !stay.begun || batch.batch.clearedDay !== null) return [];
  if (batch.stays[stay.stage + 1]?.begun) return [];
  return weeks.slice(0, -1).flatMap((_, at): RoundItem[] => {
    const zone = at + 1;
    const past = weeks.slice(0, zone).reduce((all, one) => all + one, 0) / sum;
    const due = dayOfShare(stay.from, batch.variety.stages[stay.stage]!, past);
    if (due > input.today || input.today - due > STEP_ROLL_OVER_DAYS) return [];
    if (isBefore(batch, stay.stage, due, input)) return [];
    return [
      {
        ...BARE,
        key: `along:${stay.batchId}:${stay.stage}:${zone}`,
        stop: growingAreaStop(growingArea),
        task: {
          ...{ kind: "step", step: "space", batchId: stay.batchId, variety: batch.variety.name, note: "" },
          ...{ sownOn: batch.stays[0]!.from, where: whereOf(growingArea, placed), plants: stay.plants },
          ...{ thinTo: 1, daysLeft: Math.max(0, stay.plannedEnd - input.today), fromZone: zone },
        },
        due,
        ageDays: input.today - due,
      },
    ];
  });
}
