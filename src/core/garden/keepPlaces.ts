import type { PlacedStay } from "../batches/places/areaPlaces";
import { rangesOfRuns, siteStarts, type SiteRun } from "../batches/places/siteRuns";
import type { Stay } from "../batches/timeline";
import type { PlanGrowingArea } from "../batches/types";
import type { Changes, Row } from "./changes";
import type { BatchPlace } from "./garden";
import type { Worked } from "./worked";

/** What is asked for where batches stand. */
export type Standing = Pick<Worked, "garden" | "input" | "placed">;

/** A stage of a batch. */
export interface StageOf {
  readonly batchId: number;
  readonly stage: number;
}

/** A site of a stand: its line from 1, and the site on it from 1. */
export interface Spot {
  readonly standId: number;
  readonly line: number;
  readonly firstSite: number;
}

/** Why a batch cannot be put somewhere. */
export type PlaceRefusal =
  /** The stage is over, or the batch is gone. */
  | { readonly kind: "no-stay" }
  /** The stand serves another growing area. */
  | { readonly kind: "other-area"; readonly growingAreaId: number }
  /** From there on the stand has not sites enough. */
  | { readonly kind: "too-few-sites"; readonly plants: number; readonly sites: number }
  /** Sites that another batch keeps, or stands on. */
  | { readonly kind: "taken"; readonly by: StageOf; readonly canSwap: boolean };

type Found = { readonly kind: "sites"; readonly runs: readonly SiteRun[] };

/**
 * Sites for a stage of a batch from a spot on: on that line, or on as many of the following ones as it takes. What is neither
 * kept nor in the ground gives way.
 *
 * @param without stages that are looked through, because they move too
 */
export function sitesFrom(
  worked: Standing,
  of: StageOf,
  spot: Spot,
  without: readonly StageOf[] = [],
): Found | PlaceRefusal {
  const found = stayOf(worked, of);
  if (!found) return { kind: "no-stay" };
  const { area, placed } = found;
  const lineAt = area.lines?.findIndex(({ standId, line }) => standId === spot.standId && line === spot.line) ?? -1;
  if (lineAt < 0) return { kind: "other-area", growingAreaId: area.id };
  const { plants } = placed.stay;
  const runs = runsFrom(area, lineAt, spot, plants);
  const sites = runs.reduce((sum, run) => sum + run.end - run.start, 0);
  if (sites < plants) return { kind: "too-few-sites", plants, sites };
  const isLooked = (other: StageOf) => [of, ...without].some((one) => isSameStage(one, other));
  const taken = fixedBeside(worked, area, placed.stay)
    .filter(({ stay }) => !isLooked(stay))
    .find(({ runs: held }) => held.some((a) => runs.some((b) => a.start < b.end && b.start < a.end)));
  if (taken) {
    const { batchId, stage, begun } = taken.stay;
    return { kind: "taken", by: { batchId, stage }, canSwap: !begun && !placed.stay.begun && without.length === 0 };
  }
  return { kind: "sites", runs };
}

/** What stays where it is on the days of a stay: what is kept or in the ground. */
function fixedBeside(worked: Standing, { id, cleaningDays }: PlanGrowingArea, stay: Stay): PlacedStay[] {
  return (worked.placed.get(id) ?? []).filter(
    ({ stay: other, kept, over }) =>
      over === 0 &&
      (kept !== null || other.begun) &&
      other.from < stay.to + cleaningDays &&
      other.to + cleaningDays > stay.from,
  );
}

/**
 * The sites that so many plants take from a spot on: of its line, and of as many following ones of the same stand as it takes.
 * @returns runs along the lines; fewer sites than plants where the stand ends
 */
export function runsFrom(
  {
    sitesPerLine,
    lines,
  }: Pick<PlanGrowingArea, "sitesPerLine"> & {
    readonly lines?: readonly { readonly standId: number }[];
  },
  lineAt: number,
  { standId, firstSite }: Pick<Spot, "standId" | "firstSite">,
  plants: number,
): SiteRun[] {
  const starts = siteStarts(sitesPerLine);
  const runs: SiteRun[] = [];
  let left = plants;
  for (let line = lineAt; left > 0 && lines?.[line]?.standId === standId; line++) {
    const sites = sitesPerLine[line]!;
    // On its first line a batch that would reach over the end is drawn back as far as it fits.
    const asked = line === lineAt && plants <= sites ? Math.min(firstSite - 1, sites - plants) : firstSite - 1;
    const first = line === lineAt ? Math.min(asked, sites) : 0;
    const count = Math.min(left, sites - first);
    if (count > 0) runs.push({ start: starts[line]! + first, end: starts[line]! + first + count });
    left -= count;
  }
  return runs;
}

/** Puts a stage of a batch on sites from a spot on, and keeps it there. @returns the changes, or why not */
export function putAt(worked: Standing, of: StageOf, spot: Spot): Changes | PlaceRefusal {
  const found = sitesFrom(worked, of, spot);
  return found.kind === "sites" ? keepChanges(worked, [{ of, runs: found.runs, how: "hand" }]) : found;
}

/** Two batches change places. @returns the changes, or why not */
export function swapPlaces(worked: Standing, one: StageOf, other: StageOf): Changes | PlaceRefusal {
  const [first, second] = [spotOf(worked, one), spotOf(worked, other)];
  if (!first || !second) return { kind: "no-stay" };
  const there = sitesFrom(worked, one, second, [other]);
  if (there.kind !== "sites") return there;
  const here = sitesFrom(worked, other, first, [one]);
  if (here.kind !== "sites") return here;
  const stays = [one, other].map((of) => stayOf(worked, of)!.placed.stay) as [Stay, Stay];
  const meet = stays[0].from < stays[1].to && stays[1].from < stays[0].to;
  const clash = there.runs.some((a) => here.runs.some((b) => a.start < b.end && b.start < a.end));
  if (meet && clash) return { kind: "taken", by: other, canSwap: false };
  return keepChanges(worked, [
    { of: one, runs: there.runs, how: "hand" },
    { of: other, runs: here.runs, how: "hand" },
  ]);
}

/** Keeps stages of batches where they were worked out to stand; what has no place is left as it is. */
export function keepWhereTheyStand(worked: Standing, stages: readonly StageOf[], how: BatchPlace["how"]): Changes {
  return keepChanges(
    worked,
    stages.flatMap((of) => {
      const found = stayOf(worked, of);
      return found && found.placed.over === 0 && found.placed.kept === null
        ? [{ of, runs: found.placed.runs, how }]
        : [];
    }),
  );
}

/** Lets stages be worked out again. */
export function letGo({ garden }: Standing, stages: readonly StageOf[]): Changes {
  const rows = garden.places.filter((row) => stages.some((of) => isSameStage(of, row)));
  return { batch_place: { added: {}, updated: {}, removed: byId(rows) } };
}

interface Kept {
  readonly of: StageOf;
  readonly runs: readonly SiteRun[];
  readonly how: BatchPlace["how"];
}

/**
 * Keeps places; and brings the days of all others on the same stands up to date with the plan, so that what slipped in time
 * holds no sites that are free. What lost its place to something that slipped is not kept any more.
 */
function keepChanges(worked: Standing, kept: readonly Kept[]): Changes {
  const { garden } = worked;
  let id = 0;
  const added = kept.flatMap(({ of, runs, how }) =>
    placeRows(worked, of, runs).map((row): BatchPlace => ({ ...row, id: --id, how, typed: {} })),
  );
  const stands = new Set(added.map(({ standId }) => standId));
  const isNew = (row: StageOf) => kept.some(({ of }) => isSameStage(of, row));
  const removed: BatchPlace[] = garden.places.filter(isNew);
  const updated: Record<number, Record<string, readonly [number, number]>> = {};
  for (const row of garden.places) {
    if (isNew(row) || !stands.has(row.standId)) continue;
    const found = stayOf(worked, row);
    // The stay is over, or was put elsewhere.
    if (!found || found.placed.kept === null) {
      removed.push(row);
      continue;
    }
    const [from, to] = heldDays(found.area, found.placed.stay);
    const fields = {
      ...(row.from !== from && { from: [row.from, from] as const }),
      ...(row.to !== to && { to: [row.to, to] as const }),
    };
    if (Object.keys(fields).length > 0) updated[row.id] = fields;
  }
  return { batch_place: { added: byId(added), removed: byId(removed), updated } };
}

const byId = (rows: readonly BatchPlace[]): Readonly<Record<number, Row>> =>
  Object.fromEntries(rows.map((row) => [row.id, row as unknown as Row]));

/** The rows of a stage on runs of sites, without what they are kept for. */
export function placeRows(
  worked: Standing,
  of: StageOf,
  runs: readonly SiteRun[],
): Omit<BatchPlace, "id" | "how" | "typed">[] {
  const found = stayOf(worked, of);
  if (!found?.area.lines) return [];
  const { area, placed } = found;
  const [from, to] = heldDays(area, placed.stay);
  return rangesOfRuns(area.sitesPerLine, runs).map(({ line, first, count }) => {
    const { standId, line: number } = area.lines![Number(line)]!;
    return { batchId: of.batchId, stage: of.stage, standId, line: number, firstSite: first, sites: count, from, to };
  });
}

const heldDays = ({ cleaningDays }: PlanGrowingArea, { from, to }: Stay) => [from, to + cleaningDays] as const;

function stayOf({ input, placed }: Standing, of: StageOf): { area: PlanGrowingArea; placed: PlacedStay } | null {
  for (const area of input.growingAreas) {
    const found = placed.get(area.id)?.find(({ stay }) => isSameStage(stay, of));
    if (found) return { area, placed: found };
  }
  return null;
}

function spotOf(worked: Standing, of: StageOf): Spot | null {
  const found = stayOf(worked, of);
  const first = found && placeRows(worked, of, found.placed.runs)[0];
  return first ? { standId: first.standId, line: first.line, firstSite: first.firstSite } : null;
}

const isSameStage = (a: StageOf, b: StageOf) => a.batchId === b.batchId && a.stage === b.stage;
