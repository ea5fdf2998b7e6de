import { COMMON_UNITS } from "../../growth/harvestUnit";
import { dayFromIso, isoFromDay } from "../../units/day";
import { apply, settle, type Changes, type Tables } from "../changes";
import { RULES } from "../entities";
import { NO_FACTS } from "../facts";
import { gardenOf } from "../gardenOf";
import { houseViews } from "../placeView";
import { loopLadder } from "../tank";
import { workOut } from "../workOut";
import { EXAMPLE_GARDENS } from "./gardens";
import { exampleChanges } from "./exampleTables";

const UNITS: Tables = {
  harvest_unit: Object.fromEntries(
    COMMON_UNITS.map((unit, index) => [index + 1, { id: index + 1, ...unit, typed: {} }]),
  ),
};

function real(changes: Changes): Changes {
  const ids = new Map<number, number>();
  for (const { added } of Object.values(changes))
    for (const id of Object.keys(added)) ids.set(Number(id), 1000 - Number(id));
  return settle(changes, ids, RULES);
}

const DAYS = ["2027-01-04", "2027-03-12", "2027-05-30", "2027-08-18", "2027-11-05"].map(dayFromIso);
const CASES = EXAMPLE_GARDENS.flatMap((example) =>
  DAYS.map((day) => [example.name, isoFromDay(day), example, day] as const),
);

test.each(CASES)(
  "%s, opened on %s: fits its place, meets every order, nothing over capacity",
  (_, __, example, today) => {
    const tables = apply(UNITS, real(exampleChanges(UNITS, example, today)));
    const garden = gardenOf(tables, { latitudeDeg: example.latitudeDeg });
    const worked = workOut(garden, NO_FACTS, today);
    expect(garden.stands).toHaveLength(example.setup.stands.length);
    expect(houseViews(worked).flatMap(({ clashes }) => clashes)).toEqual([]);
    expect(worked.shortages).toEqual([]);
    for (const loop of garden.loops)
      expect(loopLadder(worked, loop).rungs.filter(({ verdict }) => verdict === "short")).toEqual([]);
    const ahead = worked.deliveries.filter(({ day }) => day >= today);
    expect(
      ahead
        .filter(({ state }) => state.kind !== "met")
        .map(({ day, state, wanted }) => [isoFromDay(day), wanted, state]),
    ).toEqual([]);
    expect(ahead.length > 0).toBe(example.orders.length > 0);
    // Something grows on the first day.
    expect(worked.plan.batches.some(({ batch }) => batch.begun.length > 0)).toBe(true);
  },
);
