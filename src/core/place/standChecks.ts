import { MONTHS } from "../units/day";
import { told } from "../units/told";
import type { StandSpec } from "./kinds";
import type { StandFact } from "./kinds/model";
import { noonShade } from "./kinds/towerRow";
import type { TankRoom } from "./standWater";

/** What is round a stand and decides over it with its own measures. */
export interface StandSurroundings {
  readonly latitudeDeg: number;
  /** Names of root crops that spend a stage in the stand's pool. */
  readonly rootCrops: readonly string[];
}

/** Doubts and figures of a stand that its measures alone do not tell. @source domain rules of the kinds */
export function standChecks(
  spec: StandSpec,
  around: StandSurroundings,
): { readonly warnings: readonly string[]; readonly facts: readonly StandFact[] } {
  const warnings: string[] = [];
  const facts: StandFact[] = [];
  if (spec.kind === "channel-bank" && around.rootCrops.length > 0)
    warnings.push(
      `Root crops (${around.rootCrops.join(", ")}) swell and block a film channel: give them a bed or a media bed.`,
    );
  if (spec.kind === "towers")
    for (const [index, noon] of noonShade(spec, around.latitudeDeg).entries())
      facts.push({
        label: `Tiers shaded at noon, ${index === 0 ? "darkest" : "brightest"} month`,
        value: noon.tiersShaded,
        dimension: "count",
        how: `Sun ${noon.elevationDeg.toFixed(0)}° high in ${MONTHS[noon.month]!}, taken in the plane of the row: a tier is shaded when it is lower than the neighbour's top tier − (spacing − diameter) · tan of that.`,
      });
  return { warnings, facts };
}

/** Says when a tank cannot take what comes back. @source headspace = tank − working volume */
export function headspaceWarning({
  loopName,
  drainBackL,
  headspaceL,
  overflowL,
}: TankRoom & { readonly loopName: string }): string[] {
  return overflowL > 0
    ? [
        `When the pump stops, ${told(drainBackL, "volume")} run back and the tank of the ${loopName.toLowerCase()} loop has ${told(headspaceL, "volume")} of room: it overflows. Lower its working level.`,
      ]
    : [];
}
