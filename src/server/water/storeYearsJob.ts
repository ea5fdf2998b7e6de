import { NO_FACTS } from "@/core/garden/facts";
import type { Garden } from "@/core/garden/garden";
import { normalsOf } from "@/core/garden/climate";
import { sourceLimitLpd } from "@/core/garden/supply";
import { workOut } from "@/core/garden/workOut";
import type { StoreYears, StoreYearsAnswer } from "@/core/water/supplyYears/storeYears";
import type { Day } from "@/core/units/day";
import { maybeOne, run, type Db } from "../db/pool";
import { gardenRows } from "../garden/gardenRows";
import type { JobKind } from "../jobs/kind";
import { weatherDays } from "../place/weatherQueries";
import { RefusedError } from "../session/refusal";

const YEARS = 1000;
/** The same weather for everybody: two plans are compared in the same years. */
const SEED = 1;
/** No plan is looked at further ahead. */
const MOST_DAYS = 548;

/** Carries the garden's store through simulated years of weather, from a day on. */
export const STORE_YEARS_JOB: JobKind = {
  file: "storeYears.ts",
  prepare: async (db, gardenId, { day }) => ({
    ...storeYearsOf(await gardenRows(db, gardenId), Number(day)),
    measured: await weatherDays(db, gardenId),
  }),
  keep: async (db, gardenId, { day }, found) => {
    const { capacityL } = storeOf(await gardenRows(db, gardenId));
    await run(
      db,
      `insert into store_years (garden_id, day, capacity_l, answer) values ($1, date '1970-01-01' + $2::integer, $3, $4)
       on conflict (garden_id) do update set day = excluded.day, capacity_l = excluded.capacity_l, answer = excluded.answer`,
      [gardenId, Number(day), capacityL, JSON.stringify(found)],
    );
  },
};

function storeOf(garden: Garden) {
  return garden.stores.reduce(
    (sum, one) => ({ capacityL: sum.capacityL + one.capacityL, storedL: sum.storedL + one.storedL }),
    { capacityL: 0, storedL: 0 },
  );
}

/** @throws RefusedError where no rain is stored, or nothing is drawn */
function storeYearsOf(garden: Garden, today: Day): StoreYears {
  const { plan } = workOut(garden, NO_FACTS, today);
  const needL = [...plan.needL.subarray(plan.today - plan.from)].slice(0, MOST_DAYS);
  const store = storeOf(garden);
  if (store.capacityL === 0 || !garden.sources.some(({ kind }) => kind === "rain"))
    throw new RefusedError({ room: "water", kind: "no-rain-store" });
  if (!needL.some((litres) => litres > 0)) throw new RefusedError({ room: "water", kind: "nothing-drawn" });
  const sources = garden.sources.map((source) => ({ ...source, limitLpd: sourceLimitLpd(source) }));
  const byClimateL = [...plan.needByClimateL.subarray(plan.today - plan.from)].slice(0, MOST_DAYS);
  const weather = { rain: garden.rain, normals: normalsOf(garden), byClimateL };
  return { from: plan.today, needL, sources, store, ...weather, years: YEARS, seed: SEED };
}

/** The last answer, with the day and the store it is of. */
export interface KeptStoreYears {
  readonly day: Day;
  readonly capacityL: number;
  readonly answer: StoreYearsAnswer;
}

export function keptStoreYears(db: Db, gardenId: number): Promise<KeptStoreYears | null> {
  return maybeOne<KeptStoreYears & Record<string, unknown>>(
    db,
    `select day, capacity_l as "capacityL", answer from store_years where garden_id = $1`,
    [gardenId],
  );
}
