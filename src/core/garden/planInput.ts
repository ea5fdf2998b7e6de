import type { PlanGrowingArea, PlanInput } from "../batches/types";
import { growingAreaSitesPerLine } from "../place/lineWords";
import { modelOf } from "../place/kinds";
import { standCounts } from "../place/standCounts";
import type { Day } from "../units/day";
import { et0ByArea } from "./climate";
import { suitedVarieties } from "./suitedVarieties";
import type { Garden, GrowingAreaRow, Stand } from "./garden";
import { openWaterByLoop } from "./openWater";

/** How far the plan looks back and ahead. */
const DAYS_BACK = 84;
const DAYS_AHEAD = 426;
/** Orders that begin later are looked at from their first days on, up to here. */
const MOST_DAYS_AHEAD = 1500;
const DAYS_OF_LATE_ORDER = 120;

/** The stands of each growing area, by its id. */
export function areaStands({ growingAreas, stands }: Garden): Map<number, Stand[]> {
  return new Map(growingAreas.map((area) => [area.id, stands.filter((stand) => stand.growingAreaId === area.id)]));
}

/** What the plan of a garden is worked out from. @param until is looked at, and further where orders go on */
export function planInput(
  garden: Garden,
  standsOf: ReadonlyMap<number, readonly Stand[]>,
  today: Day,
  until: Day = today,
): PlanInput {
  const from = today - DAYS_BACK;
  const to = Math.max(until, lastLookedAt(garden.orders, today));
  return {
    today,
    from,
    to,
    growingAreas: garden.growingAreas.map((area) => planArea(area, standsOf.get(area.id) ?? [])),
    varieties: suitedVarieties(garden),
    batches: garden.batches,
    places: garden.places,
    orders: garden.orders,
    noMarket: garden.closedDays.filter(({ kind }) => kind === "no-market").map(({ day }) => day),
    drainShareByLoop: Object.fromEntries(garden.loops.map((loop) => [loop.id, loop.drainShare])),
    needFactorByLoop: Object.fromEntries(garden.loops.map((loop) => [loop.id, loop.needFactor])),
    et0MmByArea: et0ByArea(garden, standsOf, from, to),
    openWaterLByLoop: openWaterByLoop(garden, from, to),
  };
}

/** The day after the last that is looked at: further ahead where an order begins later. */
function lastLookedAt(orders: Garden["orders"], today: Day): Day {
  const latest = orders.reduce((last, { from, to }) => Math.max(last, Math.min(to, from + DAYS_OF_LATE_ORDER)), 0);
  return Math.min(today + MOST_DAYS_AHEAD, Math.max(today + DAYS_AHEAD, latest + 1));
}

function planArea(growingArea: GrowingAreaRow, own: readonly Stand[]): PlanGrowingArea {
  const sitesPerLine = growingAreaSitesPerLine(own);
  const sites = sitesPerLine.reduce((sum, count) => sum + count, 0);
  const byLoop = new Map<number | null, number>();
  for (const stand of own) byLoop.set(stand.loopId, (byLoop.get(stand.loopId) ?? 0) + standCounts(stand.spec).sites);
  const loopShares = [...byLoop].map(([loopId, count]) => ({ loopId, share: sites > 0 ? count / sites : 0 }));
  return {
    id: growingArea.id,
    name: growingArea.name,
    sites,
    cleaningDays: growingArea.cleaningDays,
    sitesPerLine,
    lines: own.flatMap(({ id, loopId, spec }) =>
      Array.from({ length: standCounts(spec).lines }, (_, index) => ({
        ...{ standId: id, line: index + 1, loopId },
        bank: spec.kind === "channel-bank" ? `${id}/${Math.floor(index / spec.linesPerValve)}` : String(id),
        rotates: modelOf(spec).rotates === true,
      })),
    ),
    loops: loopShares,
  };
}
