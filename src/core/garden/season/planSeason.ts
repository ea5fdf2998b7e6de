import { checkPlan } from "../../batches/season/checkPlan";
import type { SeasonPlan } from "../../batches/season/problem";
import { solveSeason } from "../../batches/season/solveSeason";
import type { OpenProgram } from "../../numeric/warmProgram";
import type { Day } from "../../units/day";
import { isEmpty, type Changes, type Tables } from "../changes";
import { NO_FACTS } from "../facts";
import type { SeasonSettings } from "../garden";
import { gardenOf, type Site } from "../gardenOf";
import { workOut } from "../workOut";
import type { Worked } from "../worked";
import { draftBatches, type DraftBatch } from "./draft";
import { leftOutOf, withPlaces } from "./placedDraft";
import { placedSeason } from "./placedSeason";
import { presentPlan } from "./presentPlan";
import { seasonReasons, type SeasonReasons } from "./reasons";
import { seasonProblem } from "./seasonProblem";
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
  /** What the plan is worth less because sites enough were free, but not together. */
  readonly lostApart: number;
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
 * @source solveSeason, placedSeason
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
  const seasonOf = (worked: Worked) => seasonProblem(worked, settings, sowWeekdays, mostTailDays);
  const season = seasonOf(before);
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
    explain
      ? seasonReasons(before, season, plan, {
          open,
          apart,
          seasonOf: (other) => seasonOf(workOut(other, NO_FACTS, today)),
        })
      : null;
  const asItIs = (value: number, plan: SeasonPlan) => {
    const reasons = reasonsOf(plan);
    return { ...more, isUnchanged: true, changes: {}, value, lostApart: 0, leftOut: 0, reasons } as const;
  };
  if (found.isUnchanged) return asItIs(found.value, found.plan);
  const { placed, value, plan, lostApart, apart } = placedSeason({ tables, site, before, season }, found, {
    ...{ open, enough: (1 - gap) * bound },
    look: (better) => look({ value: better, bound, drafts: null }),
  });
  // The plan as it is may give a little more than the problem counts on: it is weighed by what it brings.
  const worthNow = present && checkPlan(season.problem, present).money.total;
  const changes = withPlaces(placed, season);
  if (isEmpty(changes)) return asItIs(Math.min(worthNow ?? value, bound), present ?? plan);
  if (worthNow !== null && value - worthNow <= gap * Math.abs(bound))
    return asItIs(Math.min(worthNow, bound), present!);
  return {
    ...{ ...more, isUnchanged: false, value },
    changes,
    lostApart,
    leftOut: placed.leftOut.length,
    reasons: reasonsOf(plan, apart),
  };
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
