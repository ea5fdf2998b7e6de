import { checkPlan } from "../../batches/season/checkPlan";
import type { SeasonPlan } from "../../batches/season/problem";
import { solveSeason } from "../../batches/season/solveSeason";
import { worthOf } from "../../batches/season/worthOf";
import type { OpenProgram } from "../../numeric/warmProgram";
import type { Day } from "../../units/day";
import { isEmpty, type Changes, type Tables } from "../changes";
import { NO_FACTS } from "../facts";
import type { SeasonSettings } from "../garden";
import { gardenOf, type Site } from "../gardenOf";
import { workOut } from "../workOut";
import type { Worked } from "../worked";
import { draftBatches, type DraftBatch } from "./draft";
import { leftOutOf, placedDraft, withPlaces } from "./placedDraft";
import { presentPlan } from "./presentPlan";
import { seasonReasons, type SeasonReasons } from "./reasons";
import { seasonProblem, type GardenSeason } from "./seasonProblem";
import { seasonSettings } from "./usualSeason";

/** How far the planning is, in money. */
export interface PlanningProgress {
  readonly value: number | null;
  readonly bound: number | null;
  /** The best plan so far, where it is new. */
  readonly drafts: readonly DraftBatch[] | null;
}

export interface SeasonAsked {
  readonly open: OpenProgram;
  readonly look: (progress: PlanningProgress) => "enough" | void;
  readonly gap?: number;
  /** Whether it is said why orders are not met, and what would help. */
  readonly explain?: boolean;
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
  /** Of the plan with its places; and what no plan can be worth more than, wherever batches stand. */
  readonly value: number;
  readonly bound: number;
  /** The plan as it is is as good: nothing changes. */
  readonly isUnchanged: boolean;
  /** Finished plants that there are sites enough for, but not together: they are planned away. */
  readonly plantsApart: number;
  /** Stays that still have no place. */
  readonly leftOut: number;
  readonly unpriced: readonly string[];
  readonly hopeless: readonly string[];
  /** Growing areas with sites that no crop leads to: nothing can be planned there. */
  readonly idleAreas: readonly string[];
  /** Why it is not better; null where that was not asked. */
  readonly reasons: SeasonReasons | null;
}

/** Nearer to the best than this nobody can tell plans apart. */
const USUAL_GAP = 0.005;

/**
 * Plans a garden's season: solves it, and puts its batches on their lines.
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
  { open, look, gap = USUAL_GAP, explain = false, settings: asked, mostTailDays }: SeasonAsked,
): PlannedSeason | NoSeason {
  const garden = gardenOf(tables, site);
  const before = workOut(garden, NO_FACTS, today);
  const none = whyNone(before);
  if (none) return none;
  const settings = asked ?? seasonSettings(garden);
  const season = seasonProblem(before, settings, sowWeekdays, mostTailDays);
  if (season.problem.sowings.every(({ fixed }) => fixed !== null)) return { kind: "no-way" };
  const fits = leftOutOf(before, today, settings.horizonDays).length === 0;
  const present = fits ? presentPlan(before, season) : null;
  const found = solveSeason(season.problem, {
    ...{ open, gap, start: present },
    look: ({ value, bound, plan }) => look({ value, bound, drafts: plan && draftBatches(before, season, plan) }),
  });
  if (found.kind === "no-room") return found;
  const { bound } = found;
  const { unpriced, hopeless } = season;
  const more = { kind: "season", bound, unpriced, hopeless, idleAreas: idleAreas(before) } as const;
  const reasonsOf = (plan: SeasonPlan, apart: ReadonlySet<number> = new Set()) =>
    explain ? seasonReasons(before, season, plan, { open, apart }) : null;
  const asItIs = (value: number, plan: SeasonPlan) => {
    const reasons = reasonsOf(plan);
    return { ...more, isUnchanged: true, changes: {}, value, plantsApart: 0, leftOut: 0, reasons } as const;
  };
  if (found.isUnchanged) return asItIs(found.value, found.plan);
  const drafts = draftBatches(before, season, found.plan);
  const placed = placedDraft(tables, site, before, season, drafts);
  const { value, plan } = weighed(season, found.plan.units, placed.drafts, open);
  // The plan as it is may give a little more than the problem counts on: it is weighed by what it brings.
  const worthNow = present && checkPlan(season.problem, present).money.total;
  const changes = withPlaces(placed, season);
  if (isEmpty(changes)) return asItIs(Math.min(worthNow ?? value, bound), present ?? plan);
  if (worthNow !== null && value - worthNow <= gap * Math.abs(bound))
    return asItIs(Math.min(worthNow, bound), present!);
  return {
    ...{ ...more, isUnchanged: false, value },
    changes,
    plantsApart: plantsIn(drafts) - plantsIn(placed.drafts),
    leftOut: placed.leftOut.length,
    reasons: reasonsOf(plan, madeSmaller(drafts, placed.drafts)),
  };
}

/** Varieties of which batches were made smaller, or dropped, when they were placed. */
function madeSmaller(drafts: readonly DraftBatch[], placed: readonly DraftBatch[]): ReadonlySet<number> {
  const plants = new Map(placed.map(({ sowing, targetPlants }) => [sowing, targetPlants]));
  return new Set(
    drafts.flatMap(({ sowing, targetPlants, varietyId }) =>
      (plants.get(sowing) ?? 0) < targetPlants ? [varietyId] : [],
    ),
  );
}

function whyNone({ garden, input, today }: Worked): NoSeason | null {
  const isAsked =
    garden.orders.some(({ to }) => to >= today) || garden.varieties.some(({ eatenPerWeek }) => eatenPerWeek !== null);
  if (!isAsked) return { kind: "no-orders" };
  return input.growingAreas.every(({ sites }) => sites === 0) ? { kind: "no-sites" } : null;
}

function idleAreas({ input }: Worked): string[] {
  const led = new Set(input.varieties.flatMap(({ stages }) => stages.map(({ growingAreaId }) => growingAreaId)));
  return input.growingAreas.filter(({ id, sites }) => sites > 0 && !led.has(id)).map(({ name }) => name);
}

const plantsIn = (drafts: readonly DraftBatch[]) => drafts.reduce((sum, { targetPlants }) => sum + targetPlants, 0);

/** The plan, and what it is worth, with its batches as large as they were placed; behind the days planned as it was solved. */
function weighed(
  { problem, sowings, from, days }: GardenSeason,
  solved: readonly number[],
  drafts: readonly DraftBatch[],
  open: OpenProgram,
): { value: number; plan: SeasonPlan } {
  const isPlanned = (at: number) => "sowDay" in sowings[at]! && (sowings[at] as { sowDay: Day }).sowDay < from + days;
  const units = solved.map((own, at) => (isPlanned(at) ? 0 : own));
  for (const { sowing, targetPlants } of drafts) units[sowing]! += targetPlants;
  return worthOf(problem, units, open);
}
