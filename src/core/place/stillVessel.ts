import type { StandSpec } from "./kinds";
import type { WickingBed } from "./kinds/beds";
import type { RaftPond } from "./kinds/raftPond";
import { standCounts } from "./standCounts";

/** Stands whose water stands still: wicking beds, and ponds that no pump moves. */
export type StillSpec = WickingBed | RaftPond;

export function stillOf(spec: StandSpec): StillSpec | null {
  if (spec.kind === "wicking-bed") return spec;
  return spec.kind === "raft-pond" && spec.pondFlowLph === 0 ? spec : null;
}

/** The water of one bed or pond. */
export interface StillVessel {
  readonly vessels: number;
  readonly depthM: number;
  /** Of the water, what gravel or crates leave. */
  readonly waterAreaM2: number;
  /** Open to the air. */
  readonly openWaterM2: number;
}

/** @source plane geometry; rafts cover their ponds */
export function vesselOf(spec: StillSpec): StillVessel {
  if (spec.kind === "wicking-bed") {
    const waterAreaM2 = spec.lineLengthM * spec.bedWidthM * spec.voidShare;
    return { vessels: spec.lines, depthM: spec.reservoirDepthM, waterAreaM2, openWaterM2: 0 };
  }
  const waterAreaM2 = spec.pondLengthM * spec.pondWidthM;
  const coveredM2 = (standCounts(spec).lines / spec.ponds) * spec.raftLengthM * spec.raftWidthM;
  return {
    vessels: spec.ponds,
    depthM: spec.waterDepthM,
    waterAreaM2,
    openWaterM2: Math.max(0, waterAreaM2 - coveredM2),
  };
}
