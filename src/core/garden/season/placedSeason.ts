import { randomLcg } from "d3-random";
import { checkPlan } from "../../batches/season/checkPlan";
import { improvePlan } from "../../batches/season/improve";
import type { SeasonPlan, SeasonProblem } from "../../batches/season/problem";
import { worthOf } from "../../batches/season/worthOf";
import type { OpenProgram } from "../../numeric/warmProgram";
import type { Day } from "../../units/day";
import type { Tables } from "../changes";
import type { Site } from "../gardenOf";
import type { Worked } from "../worked";
import { draftBatches, type DraftBatch } from "./draft";
import { placedDraft, type LeftOut, type PlacedDraft } from "./placedDraft";
import type { GardenSeason } from "./seasonProblem";

/** What has no place comes back as a smaller growing area so many times. */
const MOST_ROUNDS = 4;
/** So much of what has no place comes back: with a little room to spare the rest finds its place. */
const SHARE = 0.5;
/** Tries without success after which a smaller growing area is given up; and all that are made. */
const TRIES = 60;
const MOST_TRIES = 300;

/** A solved season on its lines. */
export interface PlacedSeason {
  readonly placed: PlacedDraft;
  /** With its batches as large as they were placed. */
  readonly plan: SeasonPlan;
  readonly value: number;
  /** What it is worth less than it was solved for, wherever batches stand. */
  readonly lostApart: number;
  /** Varieties of which batches were made smaller, or dropped, when they were placed. */
  readonly apart: ReadonlySet<number>;
}

interface PlacingWish {
  readonly open: OpenProgram;
  /** A plan worth so much is good enough. */
  readonly enough: number;
  readonly look: (value: number) => "enough" | void;
}

/**
 * Puts a solved season on its lines. What finds no place comes back as a smaller growing area on its days, in which the plan
 * that was placed is made better and placed again; the best of a few rounds is taken.
 *
 * @source placedDraft, improvePlan
 */
export function placedSeason(
  { tables, site, before, season }: { tables: Tables; site: Site; before: Worked; season: GardenSeason },
  solved: { readonly plan: SeasonPlan; readonly value: number },
  { open, enough, look }: PlacingWish,
): PlacedSeason {
  const chance = randomLcg(0.4321);
  const apart = new Set<number>();
  let { problem } = season;
  let next = solved.plan;
  let best: Omit<PlacedSeason, "lostApart" | "apart"> | null = null;
  let isStopped = false;
  let tried = 0;
  for (let round = 0; round <= MOST_ROUNDS; round++) {
    const drafts = draftBatches(before, season, next);
    const placed = placedDraft(tables, site, before, season, drafts);
    for (const id of madeSmaller(drafts, placed.drafts)) apart.add(id);
    const found = weighed(season, next.units, placed.drafts, open);
    if (!best || found.value > best.value) best = { placed, ...found };
    if (best.value >= enough || isStopped) break;
    problem = withSmallerAreas(problem, before, placed.lost);
    const better = improvePlan(problem, best, {
      ...{ open, chance, tries: TRIES },
      isGood: ({ value }) => value >= enough,
      look: ({ value }) => {
        isStopped = look(value) === "enough" || ++tried >= MOST_TRIES;
        return isStopped ? "enough" : undefined;
      },
    });
    // Whatever the improving says: a plan that the checker finds wrong is not placed.
    if (better.plan === best.plan || checkPlan(season.problem, better.plan).broken.length > 0) break;
    next = better.plan;
  }
  return { ...best!, apart, lostApart: Math.max(0, solved.value - best!.value) };
}

/** Sites that could not be used together on the days of a stay are none. */
function withSmallerAreas(problem: SeasonProblem, { input, today }: Worked, lost: readonly LeftOut[]): SeasonProblem {
  const areas = input.growingAreas.map(({ id, cleaningDays }, at) => {
    const { id: name, sites } = problem.areas[at]!;
    const left = Array.from({ length: problem.days }, (_, day) => (typeof sites === "number" ? sites : sites[day]!));
    for (const { growingAreaId, plants, stay } of lost) {
      if (growingAreaId !== id) continue;
      const until = Math.min(problem.days, stay.to + cleaningDays - today);
      for (let day = Math.max(0, stay.from - today); day < until; day++)
        left[day] = Math.max(0, left[day]! - Math.ceil(plants * SHARE));
    }
    return { id: name, sites: left };
  });
  return { ...problem, areas };
}

function madeSmaller(drafts: readonly DraftBatch[], placed: readonly DraftBatch[]): number[] {
  const plants = new Map(placed.map(({ sowing, targetPlants }) => [sowing, targetPlants]));
  return drafts.flatMap(({ sowing, targetPlants, varietyId }) =>
    (plants.get(sowing) ?? 0) < targetPlants ? [varietyId] : [],
  );
}

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
