import type { RaftPond } from "../place/kinds/raftPond";
import type { WickingBed } from "../place/kinds/beds";
import type { StandSpec } from "../place/kinds";
import { standCounts } from "../place/standCounts";
import { stillTank, type StillTankAnswer } from "../water/stillTank";
import { et0ByHouse, dayOfYear } from "./climate";
import type { Garden, Stand } from "./garden";
import { standingOnStand } from "./standing";
import type { Worked } from "./worked";

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

/** Water of a depth under 2 m loses this much more than grass. @source FAO-56, table 12 */
const OPEN_WATER_KC = 1.05;

/** What the sheet of still water needs of a stand. */
export interface StillStand {
  readonly stand: Stand;
  readonly spec: StillSpec;
  /** Of one bed or pond today, the mean of them. */
  readonly needLpd: number;
  readonly plants: number;
  /** Of open water in its house today; null where the climate is not told, or under a solid roof. */
  readonly evaporationMm: number | null;
}

export function stillStands(worked: Worked): StillStand[] {
  const { garden, today } = worked;
  return garden.stands.flatMap((stand) => {
    const spec = stillOf(stand.spec);
    if (!spec) return [];
    const there = standingOnStand(worked, stand.id, today);
    const { vessels } = vesselOf(spec);
    return [
      {
        ...{ stand, spec, plants: there.plants, needLpd: there.needLpd / vessels },
        evaporationMm: openWaterMm(garden, stand, today),
      },
    ];
  });
}

function openWaterMm(garden: Garden, { houseId }: Stand, today: number): number | null {
  const et0Mm = et0ByHouse(garden).get(houseId)?.[dayOfYear(today) - 1];
  return et0Mm === undefined ? null : OPEN_WATER_KC * et0Mm;
}

/** What one bed or pond draws, how long it stands without supply, and whether its float keeps up. */
export function stillAnswer(
  spec: StillSpec,
  needLpd: number,
  evaporationMmPerDay: number,
  peakHourShare: number,
): StillTankAnswer {
  const { depthM, waterAreaM2, openWaterM2 } = vesselOf(spec);
  const { leastDepthM, floatRatedLph, floatRatedHeadM, headAtFloatM } = spec;
  return stillTank({
    ...{ needLpd, evaporationMmPerDay, peakHourShare, depthM, waterAreaM2, openWaterM2 },
    ...{ leastDepthM, floatRatedLph, floatRatedHeadM, headAtFloatM },
  });
}
