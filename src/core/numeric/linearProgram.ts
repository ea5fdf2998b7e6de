/** Σ factor · variable; variables are 0 or more. */
export type Terms = Readonly<Record<string, number>>;

export interface ProgramRow {
  readonly name: string;
  readonly terms: Terms;
  readonly is: "<=" | "=" | ">=";
  readonly value: number;
}

/** A linear program in the LP text format, one term a line. */
export function linearProgram(minimize: Terms, rows: readonly ProgramRow[]): string {
  return [
    "Minimize",
    ` obj:\n${termsText(minimize)}`,
    "Subject To",
    ...rows.map(({ name, terms, is, value }) => ` ${name}:\n${termsText(terms)} ${is} ${value}`),
    "End",
  ].join("\n");
}

function termsText(terms: Terms): string {
  return Object.entries(terms)
    .map(([name, factor]) => ` ${factor < 0 ? "-" : "+"} ${Math.abs(factor)} ${name}`)
    .join("\n");
}
