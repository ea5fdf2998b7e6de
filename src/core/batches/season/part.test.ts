import { randomLcg } from "d3-random";
import { readFileSync } from "node:fs";
import { warmSolver } from "../../../../tests/engines/highs";
import { problemOf, type Instance } from "../../../../tests/reference/seasonInstance";
import { checkPlan } from "./checkPlan";
import { seasonColumns } from "./columns";
import { valueOf } from "./improve";
import { partOf, withPart } from "./part";
import { solveSeason } from "./solveSeason";
import { usageOf } from "./usage";

test("a part of a season keeps its plan, and solved anew it fits back into the whole and is worth as much more there", async () => {
  const open = await warmSolver();
  const instance = JSON.parse(readFileSync("tests/reference/batches/season/b-6x26.json", "utf8")) as Instance;
  const problem = problemOf(instance);
  const first = solveSeason(problem, { open, gap: 0, look: () => "enough" });
  if (first.kind !== "plan") throw new Error("no plan");
  const { plan } = first;
  const columns = seasonColumns(problem);
  const chance = randomLcg(0.3);
  const free = problem.sowings.flatMap(({ fixed }, at) => (fixed === null ? [at] : []));
  let gained = 0;
  for (let turn = 0; turn < 12; turn++) {
    const freed = new Set(free.filter(() => chance() < 0.15));
    const part = partOf(problem, columns, plan, usageOf(problem, plan), freed);
    expect(checkPlan(part.problem, part.plan).broken).toEqual([]);
    const same = withPart(plan, part, part.plan);
    expect(valueOf(problem, same)).toBeCloseTo(valueOf(problem, plan), 6);
    const anew = solveSeason(part.problem, { open, gap: 0.001, start: part.plan, look: () => undefined });
    if (anew.kind !== "plan") throw new Error("its own plan is lost");
    const whole = withPart(plan, part, anew.plan);
    expect(checkPlan(problem, whole).broken).toEqual([]);
    const gain = valueOf(part.problem, anew.plan) - valueOf(part.problem, part.plan);
    expect(valueOf(problem, whole) - valueOf(problem, plan)).toBeCloseTo(gain, 6);
    if (gain > 1e-6) gained++;
  }
  expect(gained).toBeGreaterThan(3);
});
