import { solveSeason } from "../../batches/season/solveSeason";
import type { OpenProgram } from "../../numeric/warmProgram";
import type { Day } from "../../units/day";
import { apply, squash, type Changes, type Tables } from "../changes";
import { NO_FACTS } from "../facts";
import { gardenOf, type Site } from "../gardenOf";
import { keepWhereTheyStand, type StageOf } from "../keepPlaces";
import { workOut } from "../workOut";
import type { Worked } from "../worked";
import { draftBatches, draftChanges, type DraftBatch } from "./draft";
import { presentPlan } from "./presentPlan";
import { seasonProblem, type GardenSeason } from "./seasonProblem";
import type { LessRoom } from "./seasonLimits";
import { seasonSettings } from "./usualSeason";

/** How far the planning is, in money. */
export interface PlanningProgress {
  readonly round: number;
  readonly value: number | null;
  readonly bound: number | null;
  /** The best plan so far, where it is new. */
  readonly drafts: readonly DraftBatch[] | null;
}

export interface SeasonAsked {
  readonly open: OpenProgram;
  readonly look: (progress: PlanningProgress) => "enough" | void;
  readonly gap?: number;
}

/** Why no season is planned. */
export type NoSeason = { readonly kind: "no-orders" | "no-sites" | "no-way" | "no-room" };

export interface PlannedSeason {
  readonly kind: "season";
  readonly changes: Changes;
  readonly value: number;
  readonly bound: number;
  /** The plan as it is is as good: nothing changes. */
  readonly isUnchanged: boolean;
  /** Plants that found no place together though there were sites enough, and made the season be solved again with fewer. */
  readonly roomLost: readonly { readonly growingAreaId: number; readonly plants: number }[];
  /** Stays that still have no place. */
  readonly leftOut: number;
  readonly unpriced: readonly string[];
  readonly hopeless: readonly string[];
}

/** Nearer to the best than this nobody can tell plans apart. */
export const USUAL_GAP = 0.005;
/** Solved again so often with the room that proved not to be usable taken off. */
const MOST_ROUNDS = 4;

/**
 * Plans a garden's season: solves it, puts its batches on their lines, and solves again with less room where something found
 * no place.
 *
 * @param tables the plan as it is
 * @returns the changes that lead to the season, its places included; or why there is none
 * @throws whatever `look` throws
 * @source solveSeason, areaPlaces
 */
export function planSeason(
  tables: Tables,
  site: Site,
  today: Day,
  sowWeekdays: readonly number[],
  { open, look, gap = USUAL_GAP }: SeasonAsked,
): PlannedSeason | NoSeason {
  const garden = gardenOf(tables, site);
  const before = workOut(garden, NO_FACTS, today);
  const none = whyNone(before);
  if (none) return none;
  const settings = seasonSettings(garden);
  const less = new Map<number, Float64Array>();
  const roomLost = new Map<number, number>();
  for (let round = 0; ; round++) {
    const season = seasonProblem(before, settings, sowWeekdays, less as LessRoom);
    if (season.problem.sowings.every(({ fixed }) => fixed !== null) && season.orders.length > 0)
      return { kind: "no-way" };
    const start = round === 0 && leftOutOf(before).length === 0 ? presentPlan(before, season) : null;
    const found = solveSeason(season.problem, {
      ...{ open, start, gap },
      look: ({ value, bound, plan }) =>
        look({ round, value, bound, drafts: plan && draftBatches(before, season, plan) }),
    });
    if (found.kind === "no-room") return found;
    const { value, bound, isUnchanged } = found;
    const more = { value, bound, isUnchanged, unpriced: season.unpriced, hopeless: season.hopeless };
    const lost = [...roomLost].map(([growingAreaId, plants]) => ({ growingAreaId, plants }));
    if (isUnchanged) return { kind: "season", changes: {}, roomLost: lost, leftOut: 0, ...more };
    const changes = draftChanges(tables, before, season, draftBatches(before, season, found.plan));
    const after = workOut(gardenOf(apply(tables, changes), site), NO_FACTS, today);
    const out = leftOutOf(after);
    const isLast = round + 1 >= MOST_ROUNDS;
    if (out.length > 0 && !isLast) {
      for (const { growingAreaId, plants } of out)
        roomLost.set(growingAreaId, (roomLost.get(growingAreaId) ?? 0) + plants);
      takeRoom(less, after, season);
      continue;
    }
    return {
      kind: "season",
      changes: withPlaces(changes, after, season),
      roomLost: lost,
      leftOut: out.length,
      ...more,
    };
  }
}

function whyNone({ garden, plan, input, today }: Worked): NoSeason | null {
  if (garden.orders.every(({ to }) => to < today)) return { kind: "no-orders" };
  void plan;
  return input.growingAreas.every(({ sites }) => sites === 0) ? { kind: "no-sites" } : null;
}

/** Stays from today on that have no place. */
function leftOutOf({
  placed,
  today,
}: Worked): { readonly growingAreaId: number; readonly plants: number; readonly from: Day; readonly to: Day }[] {
  return [...placed].flatMap(([growingAreaId, stays]) =>
    stays.flatMap(({ stay, over }) =>
      over > 0 && stay.to > today ? [{ growingAreaId, plants: over, from: stay.from, to: stay.to }] : [],
    ),
  );
}

/** On the days of what found no place, only so much room is there as was really filled. */
function takeRoom(less: Map<number, Float64Array>, after: Worked, { from, problem, areaIds }: GardenSeason): void {
  for (const { growingAreaId, from: first, to } of leftOutOf(after)) {
    const area = after.input.growingAreas.find(({ id }) => id === growingAreaId)!;
    const at = areaIds.indexOf(growingAreaId);
    const { sites } = problem.areas[at]!;
    const room =
      less.get(growingAreaId) ??
      Float64Array.from({ length: problem.days }, (_, day) => (sites as readonly number[])[day]!);
    less.set(growingAreaId, room);
    const filled = new Float64Array(problem.days);
    for (const { stay, over } of after.placed.get(growingAreaId)!) {
      if (over > 0) continue;
      for (
        let day = Math.max(0, stay.from - from);
        day < Math.min(problem.days, stay.to + area.cleaningDays - from);
        day++
      )
        filled[day]! += stay.plants;
    }
    for (let day = Math.max(0, first - from); day < Math.min(problem.days, to - from); day++)
      room[day] = Math.min(room[day]!, filled[day]!);
  }
}

/** The places of what is planned come with the plan. */
function withPlaces(changes: Changes, after: Worked, season: GardenSeason): Changes {
  const planned: StageOf[] = after.plan.batches
    .filter(({ batch }) => batch.begun.length === 0 && batch.sowDay < season.from + season.days)
    .flatMap(({ stays }) => stays.map(({ batchId, stage }) => ({ batchId, stage })));
  const places = keepWhereTheyStand(after, planned, "plan");
  const lowest = Math.min(0, ...Object.keys(changes.batch?.added ?? {}).map(Number));
  const { added, ...rest } = places.batch_place!;
  const moved = Object.fromEntries(
    Object.entries(added).map(([id, row]) => [Number(id) + lowest, { ...row, id: Number(id) + lowest }]),
  );
  return squash(changes, { batch_place: { ...rest, added: moved } });
}
