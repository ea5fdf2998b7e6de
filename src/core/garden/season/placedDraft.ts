import { roomBeside } from "../../batches/places/areaPlaces";
import { planPlaces } from "../../batches/places/planPlaces";
import type { Plan } from "../../batches/plan";
import type { Stay } from "../../batches/timeline";
import { apply, squash, type Changes, type Row, type Tables } from "../changes";
import { NO_FACTS } from "../facts";
import { gardenOf, type Site } from "../gardenOf";
import { keepWhereTheyStand, type Standing } from "../keepPlaces";
import { workOut } from "../workOut";
import type { Worked } from "../worked";
import { cellsOf, draftChanges, type DraftBatch } from "./draft";
import type { GardenSeason } from "./seasonProblem";

/** Trimming ends after so many turns; what has no place then is said. */
const MOST_TRIMS = 8;
/** A solved plan is placed a few times: with more patience than a page has. */
const PATIENCE = 4;

/** Plants of a stay that have no place. */
export interface LeftOut {
  readonly growingAreaId: number;
  readonly plants: number;
  readonly stay: Stay;
}

/** A drafted season on its lines. */
export interface PlacedDraft {
  readonly drafts: readonly DraftBatch[];
  /** What leads to it, its places not yet among it. */
  readonly changes: Changes;
  readonly after: Standing & { readonly plan: Plan };
  /** Stays of the days planned that have no place. */
  readonly leftOut: readonly LeftOut[];
  /** What had to be planned away for lack of sites that lie together. */
  readonly lost: readonly LeftOut[];
}

/**
 * Puts a drafted season on its lines. A batch that finds no place together is made as small as what is free beside it, or
 * left out of the plan.
 *
 * @source areaPlaces
 */
export function placedDraft(
  tables: Tables,
  site: Site,
  before: Worked,
  season: GardenSeason,
  drafts: readonly DraftBatch[],
): PlacedDraft {
  const place = (some: readonly DraftBatch[], lost: readonly LeftOut[]): PlacedDraft => {
    const changes = draftChanges(tables, before, season, some);
    const { garden, input, plan } = workOut(gardenOf(apply(tables, changes), site), NO_FACTS, before.today);
    const after = { garden, input, plan, placed: planPlaces(plan, input, PATIENCE) };
    return { drafts: some, changes, after, lost, leftOut: leftOutOf(after, before.today, season.days) };
  };
  let found = place(drafts, []);
  for (let turn = 0; turn < MOST_TRIMS && found.leftOut.length > 0; turn++) {
    const next = trimmed(found, season);
    if (next === null) break;
    found = place(next.drafts, [...found.lost, ...next.lost]);
  }
  return found;
}

/** Stays of the days planned that have no place. */
export function leftOutOf({ placed }: Pick<Worked, "placed">, today: number, days: number): LeftOut[] {
  return [...placed].flatMap(([growingAreaId, stays]) =>
    stays.flatMap(({ stay, over }) =>
      over > 0 && stay.to > today && stay.from < today + days ? [{ growingAreaId, plants: over, stay }] : [],
    ),
  );
}

/** Drafts with what has no place made smaller; null where nothing of it is drafted. */
function trimmed(
  { drafts, after, leftOut }: PlacedDraft,
  season: GardenSeason,
): Pick<PlacedDraft, "drafts" | "lost"> | null {
  const share = new Map<number, number>();
  const lost: LeftOut[] = [];
  for (const { growingAreaId, plants, stay } of leftOut) {
    if (!drafts.some(({ id }) => id === stay.batchId)) continue;
    const area = after.input.growingAreas.find(({ id }) => id === growingAreaId)!;
    const fits = Math.min(plants - 1, roomBeside(area, after.placed.get(growingAreaId)!, stay));
    lost.push({ growingAreaId, plants: plants - fits, stay });
    share.set(stay.batchId, Math.min(share.get(stay.batchId) ?? 1, fits / plants));
  }
  if (share.size === 0) return null;
  const smaller = drafts.flatMap((draft) => {
    const own = share.get(draft.id);
    if (own === undefined) return [draft];
    const targetPlants = Math.floor(draft.targetPlants * own);
    const variety = after.input.varieties.find(({ id }) => id === draft.varietyId)!;
    const cells = cellsOf(season, variety, targetPlants);
    return cells === null ? [] : [{ ...draft, targetPlants, cells }];
  });
  return { drafts: smaller, lost };
}

/** The changes with the places of all that is planned. */
export function withPlaces({ changes, after }: PlacedDraft, season: GardenSeason): Changes {
  const planned = after.plan.batches
    .filter(({ batch }) => batch.begun.length === 0 && batch.sowDay < season.from + season.days)
    .flatMap(({ stays }) => stays.map(({ batchId, stage }) => ({ batchId, stage })));
  const places = keepWhereTheyStand(after, planned, "plan").batch_place!;
  // New rows of both tables are told apart by their ids.
  const lowest = Math.min(0, ...Object.keys(changes.batch!.added).map(Number));
  const added: Record<number, Row> = {};
  for (const row of Object.values(places.added)) {
    const id = Number(row.id) + lowest;
    added[id] = { ...row, id };
  }
  return squash(changes, { batch_place: { ...places, added } });
}
