import { exampleChanges } from "../core/garden/examples/exampleTables";
import { EXAMPLE_GARDENS } from "../core/garden/examples/gardens";
import type { Tables } from "../core/garden/changes";
import type { Day } from "../core/units/day";
import { solver } from "../server/solver/highs";
import { warmSolver } from "../server/solver/warm";
import type { Work } from "./thread";

/** What an example garden is laid out from. */
export interface ExampleAsked {
  readonly tables: Tables;
  readonly name: string;
  readonly today: Day;
}

/** Lays an example garden out off the server's own thread: its recipe and its season are solved. Its changes come as JSON. */
export const work: Work = async (asked) => {
  const { tables, name, today } = asked as ExampleAsked;
  const example = EXAMPLE_GARDENS.find((one) => one.name === name)!;
  return JSON.stringify(exampleChanges(tables, example, today, { solve: await solver(), open: await warmSolver() }));
};
