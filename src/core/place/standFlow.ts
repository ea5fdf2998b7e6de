import { modelOf, type StandSpec } from "./kinds";
import type { LineFlow } from "./kinds/model";
import { standCounts } from "./standCounts";

export { emittersPerLateral } from "./kinds/beds";

export interface StandFlow extends LineFlow {
  readonly lines: number;
  readonly sitesPerLine: number;
}

/** What the lines of a stand want of their loop: the spigot of a channel, or all emitters of a bed or bucket row. */
export function standFlow(spec: StandSpec): StandFlow {
  const { lines, sitesPerLine } = standCounts(spec);
  return { lines, sitesPerLine, ...modelOf(spec).flow(spec) };
}
