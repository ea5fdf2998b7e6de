import { standCounts } from "./standCounts";
import type { StandSpec } from "./stand";

export interface StandFlow {
  readonly lines: number;
  /** Flow that one line wants while it is open, L/h; 0 where there is no plumbing. */
  readonly lineFlowLph: number;
  readonly linesPerValve: number;
  readonly sitesPerLine: number;
  /** Drip emitters give at most their nominal flow; open spigots share whatever the pump brings. */
  readonly limited: boolean;
}

/** What the lines of a stand want of their loop: the spigot of a channel, or all emitters of a bed or bucket row. */
export function standFlow(spec: StandSpec): StandFlow {
  const { lines, sitesPerLine } = standCounts(spec);
  switch (spec.kind) {
    case "channel-bank":
      return {
        lines,
        sitesPerLine,
        lineFlowLph: spec.lineFlowLph,
        linesPerValve: spec.linesPerValve,
        limited: false,
      };
    case "drip-beds":
      return {
        lines,
        sitesPerLine,
        lineFlowLph:
          emittersPerLateral(spec.lineLengthM, spec.emitterSpacingM) * spec.lateralsPerBed * spec.emitterFlowLph,
        linesPerValve: spec.linesPerValve,
        limited: true,
      };
    case "bucket-line":
      return {
        lines,
        sitesPerLine,
        lineFlowLph: spec.bucketsPerLine * spec.emittersPerBucket * spec.emitterFlowLph,
        linesPerValve: spec.linesPerValve,
        limited: true,
      };
    case "tray-rack":
      return { lines, sitesPerLine, lineFlowLph: 0, linesPerValve: 1, limited: true };
  }
}

/** Emitters on a lateral as long as its bed, one every spacing. @example emittersPerLateral(10, 0.3) // 33 */
export function emittersPerLateral(lengthM: number, spacingM: number): number {
  return Math.floor(lengthM / spacingM + 1e-9);
}
