import { cellsFor } from "../../batches/cellsFor";
import { roomBeside } from "../../batches/places/areaPlaces";
import { planPlaces } from "../../batches/places/planPlaces";
import { solveSeason } from "../../batches/season/solveSeason";
import type { Stay } from "../../batches/timeline";
import type { OpenProgram } from "../../numeric/warmProgram";
import type { Day } from "../../units/day";
import { apply, squash, type Changes, type Tables } from "../changes";
import { NO_FACTS } from "../facts";
import type { SeasonSettings } from "../garden";
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
  /** In place of those of the garden. */
  readonly settings?: SeasonSettings;
  /** Days behind those planned that are looked at, so that the season does not end in an empty house. */
  readonly mostTailDays?: number;
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
const MOST_ROUNDS = 1;
/** Trimming ends after so many turns; what has no place then is said. */
const MOST_TRIMS = 8;
/** A solved plan is placed once: with more patience than a page has. */
const PATIENCE = 8;

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
  { open, look, gap = USUAL_GAP, settings: asked, mostTailDays }: SeasonAsked,
): PlannedSeason | NoSeason {
  const garden = gardenOf(tables, site);
  const before = workOut(garden, NO_FACTS, today);
  const none = whyNone(before);
  if (none) return none;
  const settings = asked ?? seasonSettings(garden);
  const less = new Map<number, Float64Array>();
  const roomLost = new Map<number, number>();
  for (let round = 0; ; round++) {
    const season = seasonProblem(before, settings, sowWeekdays, less as LessRoom, mostTailDays);
    if (season.problem.sowings.every(({ fixed }) => fixed !== null) && season.orders.length > 0)
      return { kind: "no-way" };
    const start =
      round === 0 && leftOutOf(before, settings.horizonDays).length === 0 ? presentPlan(before, season) : null;
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
    const drafts = draftBatches(before, season, found.plan);
    const tried = placedSeason(tables, site, before, season, drafts);
    if (tried.out.length > 0 && round + 1 < MOST_ROUNDS) {
      for (const { growingAreaId, plants } of tried.out)
        roomLost.set(growingAreaId, (roomLost.get(growingAreaId) ?? 0) + plants);
      takeRoom(less, tried.after, season);
      continue;
    }
    const { changes, after, out } = trimmed(tables, site, before, season, drafts, tried);
    return {
      kind: "season",
      changes: withPlaces(changes, after, season),
      roomLost: lost,
      leftOut: out.length,
      ...more,
    };
  }
}

interface Placed {
  readonly changes: Changes;
  readonly after: Worked;
  readonly out: readonly LeftOut[];
}

/** The garden as it would be, its batches placed with more patience than a page has. */
function placedSeason(
  tables: Tables,
  site: Site,
  before: Worked,
  season: GardenSeason,
  drafts: readonly DraftBatch[],
): Placed {
  const changes = draftChanges(tables, before, season, drafts);
  const worked = workOut(gardenOf(apply(tables, changes), site), NO_FACTS, before.today);
  const placed = planPlaces(worked.plan, worked.input, PATIENCE);
  const after: Worked = Object.create(worked, { placed: { value: placed } }) as Worked;
  return { changes, after, out: leftOutOf(after, season.days) };
}

/** What still has no place is made as small as what is free beside it, or left out of the plan. */
function trimmed(
  tables: Tables,
  site: Site,
  before: Worked,
  season: GardenSeason,
  drafts: readonly DraftBatch[],
  tried: Placed,
): Placed {
  let [left, found] = [drafts, tried];
  for (let turn = 0; turn < MOST_TRIMS && found.out.length > 0; turn++) {
    const smaller = new Map<string, number>();
    for (const { growingAreaId, plants, stay } of found.out) {
      const { batch, variety } = found.after.plan.batches.find((one) => one.batch.id === stay.batchId)!;
      if (batch.begun.length > 0) continue;
      const area = found.after.input.growingAreas.find(({ id }) => id === growingAreaId)!;
      const fits = Math.min(plants - 1, roomBeside(area, found.after.placed.get(growingAreaId)!, stay));
      const key = `${variety.id}/${batch.sowDay}/${batch.targetPlants}`;
      smaller.set(key, Math.min(smaller.get(key) ?? Infinity, Math.floor((batch.targetPlants * fits) / plants)));
    }
    if (smaller.size === 0) return found;
    left = left.flatMap((draft) => {
      const key = `${draft.varietyId}/${draft.sowDay}/${draft.targetPlants}`;
      const targetPlants = smaller.get(key);
      if (targetPlants === undefined) return [draft];
      smaller.delete(key);
      const variety = before.input.varieties.find(({ id }) => id === draft.varietyId)!;
      const cells = targetPlants < 1 ? "never" : cellsFor(variety, targetPlants, season.settings.confidence);
      return cells === "never" ? [] : [{ ...draft, targetPlants, cells: Math.max(cells, targetPlants) }];
    });
    found = placedSeason(tables, site, before, season, left);
  }
  return found;
}

function whyNone({ garden, plan, input, today }: Worked): NoSeason | null {
  if (garden.orders.every(({ to }) => to < today)) return { kind: "no-orders" };
  void plan;
  return input.growingAreas.every(({ sites }) => sites === 0) ? { kind: "no-sites" } : null;
}

interface LeftOut {
  readonly growingAreaId: number;
  readonly plants: number;
  readonly stay: Stay;
}

/** Stays of the days planned that have no place. */
function leftOutOf({ placed, today }: Pick<Worked, "placed" | "today">, days = Infinity): LeftOut[] {
  return [...placed].flatMap(([growingAreaId, stays]) =>
    stays.flatMap(({ stay, over }) =>
      over > 0 && stay.to > today && stay.from < today + days ? [{ growingAreaId, plants: over, stay }] : [],
    ),
  );
}

/**
 * On the days of what found no place there is less room: by what is over where the counts alone are too much, as whole plants
 * take more than shares of them do; else by a part of what would not go together.
 */
function takeRoom(
  less: Map<number, Float64Array>,
  after: Worked,
  { from, days, problem, areaIds }: GardenSeason,
): void {
  for (const { growingAreaId, plants, stay } of leftOutOf(after, days)) {
    const { from: first, to } = stay;
    const area = after.input.growingAreas.find(({ id }) => id === growingAreaId)!;
    const sites = problem.areas[areaIds.indexOf(growingAreaId)]!.sites as readonly number[];
    const room = less.get(growingAreaId) ?? Float64Array.from(sites);
    less.set(growingAreaId, room);
    const { plants: used, blocked } = after.plan.growingAreas.find((one) => one.growingAreaId === growingAreaId)!;
    const those = Array.from(
      { length: Math.min(problem.days, to - from) - Math.max(0, first - from) },
      (_, at) => Math.max(0, first - from) + at,
    );
    const over = (day: number) =>
      used[day + from - after.plan.from]! + blocked[day + from - after.plan.from]! - area.sites;
    const isByCount = those.some((day) => over(day) > 0);
    for (const day of those) room[day]! -= isByCount ? Math.max(0, over(day)) : Math.max(1, Math.ceil(plants / 4));
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
