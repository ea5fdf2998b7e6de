/** A row of a linear program: least ≤ Σ factor · column ≤ most. */
export interface SparseRow {
  readonly least: number;
  readonly most: number;
  readonly columns: readonly number[];
  readonly factors: readonly number[];
}

/** A linear program to be made as large as can be, each column within its bounds. */
export interface ProgramData {
  readonly worth: readonly number[];
  readonly least: readonly number[];
  readonly most: readonly number[];
  readonly rows: readonly SparseRow[];
}

export type WarmSolution =
  | { readonly kind: "solved"; readonly value: number; readonly columns: Float64Array; readonly duals: Float64Array }
  /** No columns keep all the rows. */
  | { readonly kind: "none" };

/** A program that is solved again and again, each time from where the last solution was. */
export interface WarmProgram {
  addRows(rows: readonly SparseRow[]): void;
  /** Bounds of some columns. */
  setBounds(columns: readonly number[], least: readonly number[], most: readonly number[]): void;
  setMost(row: number, most: number): void;
  /** @throws whatever asks the solver to stop */
  solve(): WarmSolution;
  /** Solves it with some columns whole, by branch and bound from a solution that is known. */
  branch(wish: Branching): Branched;
  free(): void;
}

/** Columns that have to be whole, each nothing or within its bounds. */
export interface Branching {
  readonly whole: readonly number[];
  readonly least: readonly number[];
  readonly most: readonly number[];
  /** A solution to begin with. */
  readonly start: Readonly<ArrayLike<number>> | null;
  /** It may end when so much of the bound is missing. */
  readonly gap: number;
  /** Asked now and then, with the bound so far; when it answers "enough", the best so far is taken. What it throws ends it. */
  readonly look: (bound: number) => "enough" | void;
}

export type Branched =
  | { readonly kind: "solved"; readonly value: number; readonly bound: number; readonly columns: Float64Array }
  | { readonly kind: "none"; readonly bound: number };

/** Opens a program. It has to be freed. */
export type OpenProgram = (data: ProgramData) => WarmProgram;
