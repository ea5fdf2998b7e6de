import { readFileSync } from "node:fs";
import { placeStays } from "../../src/core/batches/places/placeStays";
import { solveSeason } from "../../src/core/batches/season/solveSeason";
import type { Tables } from "../../src/core/garden/changes";
import type { Site } from "../../src/core/garden/gardenOf";
import { planSeason } from "../../src/core/garden/season/planSeason";
import type { Day } from "../../src/core/units/day";
import { warmSolver } from "../../src/server/solver/warm";
import { problemOf, type Instance } from "../../tests/reference/seasonInstance";

const FOLDER = "tests/reference/batches/season";
const CASES = [
  ["c-8x26-labour-minbatch", 0.02, 30],
  ["d-12x52", 0.005, 10],
  ["e-20x52", 0.006, 12],
] as const;
const FIRST_WITHIN = 0.03;

/** Seasons solved to the gap that is asked for, and when the first plan was there; the demo garden's; stays on lines. */
export async function seasonBench(
  demo: { readonly tables: Tables; readonly site: Site; readonly today: Day; readonly sowWeekdays: readonly number[] },
  least: (work: () => unknown) => number,
) {
  const open = await warmSolver();
  const timed = (work: (told: (value: number | null, bound: number | null) => void) => unknown) => {
    const from = performance.now();
    const seconds = () => (performance.now() - from) / 1000;
    let first: number | null = null;
    const found = work((value, bound) => {
      if (value !== null && bound !== null && bound - value <= FIRST_WITHIN * bound) first ??= seconds();
    });
    return { found, seconds: seconds(), first };
  };
  console.log("\nSeasons, solved until the gap that is asked for");
  for (const [name, gap, within] of CASES) {
    const problem = problemOf(JSON.parse(readFileSync(`${FOLDER}/${name}.json`, "utf8")) as Instance);
    const until = performance.now() + 2000 * within;
    const { found, seconds, first } = timed((told) =>
      solveSeason(problem, {
        ...{ open, gap },
        look: ({ value, bound }) => {
          told(value, bound);
          return performance.now() > until ? "enough" : undefined;
        },
      }),
    );
    const { value, bound } = found as { value: number; bound: number };
    console.log(
      `  ${name}: ${((100 * (bound - value)) / bound).toFixed(2)} % after ${seconds.toFixed(1)} s (asked: ${100 * gap} % in ${within} s); within 3 % after ${first === null ? "–" : Number(first).toFixed(1)} s (asked: 4 s)`,
    );
  }
  const garden = timed((told) =>
    planSeason(withoutPlan(demo.tables), demo.site, demo.today, demo.sowWeekdays, {
      open,
      look: ({ value, bound }) => void told(value, bound),
    }),
  );
  const season = garden.found as { value: number; bound: number; kind: string };
  console.log(
    `  the demo garden from what stands in it, placed on its lines: ${((100 * (season.bound - season.value)) / season.bound).toFixed(2)} % after ${garden.seconds.toFixed(1)} s (asked: 0.5 % in 10 s)`,
  );
  console.log(`  500 stays on 36 lines: ${least(() => placeStays(manyStays())).toFixed(0)} ms (asked: 100 ms)`);
}

/** What stands in a garden, and nothing that is only planned. */
function withoutPlan(tables: Tables): Tables {
  const begun = new Set(Object.values(tables.batch_stage ?? {}).map(({ batchId }) => batchId));
  const kept = (table: string, name: string) =>
    Object.fromEntries(Object.entries(tables[table] ?? {}).filter(([, row]) => begun.has(row[name]!)));
  return { ...tables, batch: kept("batch", "id"), batch_place: kept("batch_place", "batchId") };
}

/** Stays of a year and a half on a bank of 36 lines, at nine tenths of its sites. */
function manyStays() {
  let seed = 12_345;
  const chance = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
  return {
    lines: Array.from({ length: 36 }, (_, at) => ({ id: `${at}`, sites: 24, bank: `${Math.floor(at / 6)}` })),
    cleaningDays: 1,
    stays: Array.from({ length: 500 }, (_, at) => {
      const from = Math.floor(chance() * 500);
      return {
        id: `${at}`,
        plants: Math.ceil(22 * (0.4 + 1.2 * chance())),
        from,
        to: from + 20 + Math.floor(chance() * 30),
      };
    }),
  };
}
