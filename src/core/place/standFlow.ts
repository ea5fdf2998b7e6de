import { requireSpec } from "./kinds/requireSpec";
import { modelOf, type StandSpec } from "./kinds";
import type { LineFlow } from "./kinds/model";
import { standCounts } from "./standCounts";

export interface StandFlow extends Required<LineFlow> {
  readonly lines: number;
  readonly sitesPerLine: number;
  /** Lines that are fed by themselves: the first of each run. */
  readonly feeds: number;
  /** Of the fullest run. */
  readonly sitesPerFeed: number;
  /** What all of them want together, L/h. */
  readonly wantedLph: number;
}

/** What the lines of a stand want of their loop: the spigot of a channel, or all emitters of a bed or bucket row. */
export function standFlow(spec: StandSpec): StandFlow {
  requireSpec("standFlow", spec);
  const { lines, sitesPerLine } = standCounts(spec);
  const flow = { linesPerRun: 1, ...modelOf(spec).flow(spec) };
  const feeds = Math.ceil(lines / flow.linesPerRun);
  return {
    ...{ lines, sitesPerLine, feeds, ...flow },
    sitesPerFeed: sitesPerLine * Math.min(lines, flow.linesPerRun),
    wantedLph: feeds * flow.lineFlowLph,
  };
}
