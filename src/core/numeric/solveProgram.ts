/** What the solver says of a program: its optimum, the best it found in its time, or that it found nothing. */
export type Solution =
  | {
      readonly kind: "solved";
      /** Whether it is the optimum, not only the best found in the time allowed. */
      readonly optimal: boolean;
      readonly objective: number;
      readonly values: Readonly<Record<string, number>>;
      /** Of a linear program; empty for an integer one. */
      readonly duals: Readonly<Record<string, number>>;
    }
  | { readonly kind: "none" };

/** Solves a linear or integer program in the LP text format. */
export type SolveProgram = (text: string) => Solution;
