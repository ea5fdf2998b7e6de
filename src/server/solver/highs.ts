import highsLoader from "highs";
import type { SolveProgram } from "@/core/numeric/solveProgram";

type Highs = Awaited<ReturnType<typeof highsLoader>>;

let loaded: Promise<Highs> | undefined;

/** The solver, loaded once a process. */
export function highs(): Promise<Highs> {
  return (loaded ??= highsLoader());
}

const INTEGER_SECONDS = 1.2;

/**
 * Solves programs in the LP text format.
 *
 * @param integerSeconds that an integer program may take before its best plan so far is taken
 * @throws Error for a program that cannot be read or that has no end
 */
export async function solver(integerSeconds = INTEGER_SECONDS): Promise<SolveProgram> {
  const instance = await highs();
  return (text) => {
    const whole = text.includes("\nGeneral\n");
    const solution = instance.solve(text, whole ? { time_limit: integerSeconds, mip_rel_gap: 0 } : {});
    const optimal = solution.Status === "Optimal";
    if (solution.Status === "Infeasible") return { kind: "none" };
    if (!optimal && solution.Status !== "Time limit reached")
      throw new Error(`The program could not be solved: ${solution.Status}`);
    const columns = Object.entries(solution.Columns);
    // Out of time without a plan, the solver gives columns without figures, or an objective that is no number.
    if (!Number.isFinite(solution.ObjectiveValue) || columns.some(([, column]) => !("Primal" in column)))
      return { kind: "none" };
    const values = Object.fromEntries(columns.map(([name, column]) => [name, (column as { Primal: number }).Primal]));
    const rows = solution.Rows as readonly { readonly Name: string; readonly Dual?: number }[];
    const duals = whole ? {} : Object.fromEntries(rows.map(({ Name, Dual = 0 }) => [Name, Dual]));
    return { kind: "solved", optimal, objective: solution.ObjectiveValue, values, duals };
  };
}
