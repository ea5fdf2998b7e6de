import type {
  Branched,
  Branching,
  OpenProgram,
  ProgramData,
  SparseRow,
  WarmSolution,
} from "../../core/numeric/warmProgram";
import { highs } from "./highs";

interface MipEvent {
  readonly data: { readonly mip_dual_bound?: number };
  readonly interrupt: () => void;
}

/**
 * Opens linear programs that stay in the solver's memory from one solution to the next.
 *
 * @param look asked now and then while it solves; what it throws ends the solving
 */
export async function warmSolver(look: () => void = () => undefined): Promise<OpenProgram> {
  const instance = await highs();
  const { modelStatus, callbackType, objectiveSense } = instance.constants;
  return (data) => {
    const model = instance.createModel({
      ...columnsOf(data),
      sense: objectiveSense.maximize,
      ...rowsOf(data.rows, data.worth.length),
    });
    model.options.set("output_flag", false);
    let stopped: unknown;
    const solve = (): WarmSolution => {
      model.run({
        [callbackType.simplexInterrupt]: (event: { interrupt(): void }) => {
          try {
            look();
          } catch (error) {
            stopped = error;
            event.interrupt();
          }
        },
      });
      if (stopped) throw stopped;
      const status = model.getModelStatus();
      if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible) return { kind: "none" };
      if (status !== modelStatus.optimal && status !== modelStatus.empty)
        throw new Error(`The program could not be solved: status ${status}`);
      const { colValue, rowDual } = model.getSolution();
      return { kind: "solved", value: model.getObjectiveValue(), columns: colValue, duals: rowDual };
    };
    const branch = ({ whole, least, most, start, gap, look: ask }: Branching): Branched => {
      const { variableType } = instance.constants;
      const chosen = { kind: "set" as const, indices: [...whole] };
      let thrown: unknown;
      let bound = Infinity;
      // None or from the least on is a type of its own; from 1 on it is a plain whole number.
      model.changeColsIntegrality(
        chosen,
        whole.map((_, at) => (least[at]! > 1 ? variableType.semiInteger : variableType.integer)),
      );
      model.changeColsBounds(
        chosen,
        Float64Array.from(least, (one) => (one > 1 ? one : 0)),
        Float64Array.from(most),
      );
      model.options.set("mip_rel_gap", gap);
      if (start) model.setSolution({ colValue: Float64Array.from(start) });
      try {
        model.run({
          [callbackType.mipInterrupt]: ({ data, interrupt }: MipEvent) => {
            bound = data.mip_dual_bound ?? bound;
            try {
              if (ask(bound) === "enough") interrupt();
            } catch (error) {
              thrown = error;
              interrupt();
            }
          },
        });
        if (thrown) throw thrown;
        const status = model.getModelStatus();
        const isDone = status === modelStatus.optimal || status === modelStatus.empty;
        const found = model.info.get("primal_solution_status");
        if (isDone || found === instance.constants.solutionStatus.feasible) {
          const value = model.getObjectiveValue();
          const proved = Number(model.info.get("mip_dual_bound"));
          return {
            kind: "solved",
            value,
            bound: Number.isFinite(proved) ? proved : bound,
            columns: model.getSolution().colValue,
          };
        }
        return { kind: "none", bound };
      } finally {
        model.clearIntegrality();
        model.changeColsBounds(chosen, new Float64Array(whole.length), Float64Array.from(most));
      }
    };
    return {
      ...{ solve, branch },
      addRows: (rows) => {
        if (rows.length === 0) return;
        const { rowLower, rowUpper, matrix } = rowsOf(rows, data.worth.length);
        model.addRows({ lower: rowLower, upper: rowUpper, matrix });
      },
      setBounds: (columns, least, most) => {
        if (columns.length === 0) return;
        const order = columns.map((_, at) => at).sort((a, b) => columns[a]! - columns[b]!);
        const indices = order.map((at) => columns[at]!);
        model.changeColsBounds(
          { kind: "set", indices },
          order.map((at) => least[at]!),
          order.map((at) => most[at]!),
        );
      },
      setMost: (row, most) => void model.changeRowBounds(row, -instance.infinity, most),
      free: () => model.dispose(),
    };
  };
}

function columnsOf({ worth, least, most }: ProgramData) {
  return { numCols: worth.length, colCost: [...worth], colLower: [...least], colUpper: [...most] };
}

function rowsOf(rows: readonly SparseRow[], numCols: number) {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { columns, factors } of rows) {
    for (let at = 0; at < columns.length; at++) {
      indices.push(columns[at]!);
      values.push(factors[at]!);
    }
    starts.push(indices.length);
  }
  return {
    numRows: rows.length,
    rowLower: Float64Array.from(rows, ({ least }) => least),
    rowUpper: Float64Array.from(rows, ({ most }) => most),
    matrix: {
      ...{ format: "csr" as const, numRows: rows.length, numCols },
      ...{ starts: Int32Array.from(starts), indices: Int32Array.from(indices), values: Float64Array.from(values) },
    },
  };
}
