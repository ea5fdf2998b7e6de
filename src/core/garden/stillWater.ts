import { stillOf, vesselOf, type StillSpec } from "../place/stillVessel";
import { stillTank, type StillTankAnswer } from "../water/stillTank";
import type { Stand } from "./garden";
import { openWaterMm } from "./openWater";
import { standingOnStand } from "./standing";
import type { Worked } from "./worked";

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
