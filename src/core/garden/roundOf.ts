import type { TankState } from "./facts";
import { roundItems } from "../round/roundItems";
import type { Lot } from "../feed/salts";
import type { RoundCatchCans, RoundGrowingArea, RoundItem, RoundLoop } from "../round/types";
import type { Picked } from "./facts";
import { calibrationDue } from "./injectorSheet";
import { changeDue } from "./changeDue";
import { loopNeedLpd } from "./loopNeed";
import { seedOrders } from "./seedOrders";
import type { Worked } from "./worked";

/** Today's walk of a garden. */
export function roundOf(worked: Worked): RoundItem[] {
  const { garden, facts, today, plan, shortages } = worked;
  return roundItems({
    today,
    plan,
    growingAreas: roundGrowingAreas(worked),
    loops: roundLoops(worked),
    store: garden.stores[0] ?? null,
    shortages,
    seedOrders: seedOrders(garden, today),
    catchCans: roundCatchCans(worked),
    settledKeys: facts.settledKeys,
    pickedByBatch: byBatch(facts.picked),
  });
}

function roundGrowingAreas({ garden: rows, input, growingAreaStands, placed }: Worked): RoundGrowingArea[] {
  return rows.growingAreas.map((row) => {
    const stands = growingAreaStands.get(row.id) ?? [];
    const house = rows.houses.find(
      (candidate) => candidate.id === rows.stands.find((stand) => stand.growingAreaId === row.id)?.houseId,
    );
    return {
      id: row.id,
      name: row.name,
      houseName: house?.name ?? "",
      houseOrder: house?.position ?? 99,
      order: row.position,
      cleaningDays: row.cleaningDays,
      stands,
      sitesPerLine: input.growingAreas.find((growingArea) => growingArea.id === row.id)!.sitesPerLine,
      placed: placed.get(row.id) ?? [],
    };
  });
}

function roundCatchCans({ garden, facts }: Worked): RoundCatchCans[] {
  return facts.catchCans.flatMap(({ entryId, day, standId, line, ...test }) => {
    const stand = garden.stands.find(({ id }) => id === standId);
    const house = garden.houses.find(({ id }) => id === stand?.houseId);
    if (!stand || !house) return [];
    return [{ entryId, day, stand: stand.name, houseName: house.name, houseOrder: house.position, line, test }];
  });
}

function byBatch(picks: readonly Picked[]): Map<number, number> {
  const units = new Map<number, number>();
  for (const pick of picks) units.set(pick.batchId, (units.get(pick.batchId) ?? 0) + pick.units);
  return units;
}

function roundLoops(worked: Worked): RoundLoop[] {
  const { garden: rows, feeds, plan, facts } = worked;
  // A tank that waters nothing is not read.
  const waters = new Set(rows.stands.map(({ loopId }) => loopId));
  const inUse = rows.loops.filter(
    ({ id }) => waters.has(id) && (loopNeedLpd(plan, id) > 0 || facts.readings.some(({ loopId }) => loopId === id)),
  );
  return inUse.map((loop) => {
    const reading = facts.readings.find((candidate) => candidate.loopId === loop.id);
    const state = facts.tanks.find((candidate) => candidate.loopId === loop.id);
    const feed = feeds.get(loop.id);
    return {
      id: loop.id,
      name: loop.name,
      kind: loop.kind,
      feeding: loop.feeding,
      normalFillL: loop.normalFillL,
      readEveryDays: loop.readEveryDays,
      needLpd: loopNeedLpd(plan, loop.id),
      lastReading: reading ? { day: reading.day, levelL: reading.levelL } : null,
      changeDue: changeDue(worked, loop),
      calibrationDue: calibrationDue(worked, loop),
      feed: feed?.sheet ?? null,
      salts: feed
        ? feed.salts.map(({ id, name, form, densityKgPerL }) => ({
            ...{ id, name, form, densityKgPerL },
            lots: lotsOf(rows, id),
          }))
        : [],
      ...sinceReading(state),
    };
  });
}

function lotsOf({ salts }: Worked["garden"], saltId: number): readonly Lot[] {
  return salts.find(({ id }) => id === saltId)?.lots ?? [];
}

/** What a reading still wants: its slip followed, or after the dose another reading. */
function sinceReading(state: TankState | undefined): Pick<RoundLoop, "outOfBand" | "dosed"> {
  if (!state) return { outOfBand: null, dosed: null };
  const { readingId, readingDay, verdict, skipped, doseId, doseAt, doseDay } = state;
  const dosed = doseId === null ? null : { entryId: doseId, at: doseAt!, day: doseDay! };
  const isOut = (verdict === "correct" || verdict === "cannot") && !dosed && !skipped;
  return { outOfBand: isOut ? { entryId: readingId, day: readingDay } : null, dosed };
}
