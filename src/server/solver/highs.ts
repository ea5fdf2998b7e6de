import highsLoader from "highs";
import type { SolveProgram } from "@/core/place/bench/cutPlan";

type Highs = Awaited<ReturnType<typeof highsLoader>>;

let loaded: Promise<Highs> | undefined;

/** The solver, loaded once a process. */
export function highs(): Promise<Highs> {
  return (loaded ??= highsLoader());
}

const INTEGER_SECONDS = 1.2;

/**
 * Solves programs in the LP text format. @throws Error when one has no solution: what asks makes none such
 *
 * @param integerSeconds that an integer program may take before its best plan so far is taken
 */
export async function solver(integerSeconds = INTEGER_SECONDS): Promise<SolveProgram> {
  const instance = await highs();
  return (text) => {
    const whole = text.includes("\nGeneral\n");
    const solution = instance.solve(text, whole ? { time_limit: integerSeconds, mip_rel_gap: 0 } : {});
    const values = Object.fromEntries(Object.entries(solution.Columns).map(([name, column]) => [name, "Primal" in column ? (column.Primal as number) : 0])); // prettier-ignore
    const duals = whole ? {} : Object.fromEntries(solution.Rows.map((row) => ("Dual" in row ? [row.Name, row.Dual as number] : ["", 0]))); // prettier-ignore
    if (solution.Status !== "Optimal" && solution.Status !== "Time limit reached")
      throw new Error(`The program could not be solved: ${solution.Status}`);
    return { objective: solution.ObjectiveValue, values, duals };
  };
}
