import { readFileSync } from "node:fs";
import { planOf, problemOf, type Instance, type InstancePlan } from "../../../../tests/reference/seasonInstance";
import { checkPlan } from "./checkPlan";

const FOLDER = "tests/reference/batches/season";
const read = <One>(file: string) => JSON.parse(readFileSync(`${FOLDER}/${file}.json`, "utf8")) as One;

test.each(["a-small-3x12", "b-6x26", "c-8x26-labour-minbatch", "d-12x52", "e-20x52"])(
  "%s: the best plan known breaks nothing and brings what is said of it",
  (name) => {
    const instance = read<Instance>(name);
    const problem = problemOf(instance);
    const { broken, money } = checkPlan(problem, planOf(instance, problem, read<InstancePlan>(`${name}.plan`)));
    expect(broken).toEqual([]);
    expect(money.total).toBeCloseTo(instance.reference.objective, 1);
  },
);
