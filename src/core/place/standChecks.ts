import { requireSpec } from "./kinds/requireSpec";
import { GREATEST, requireFigures, requireRange } from "../units/range";
import type { StandFinding } from "./findings";
import type { StandSpec } from "./kinds";
import { modelOf } from "./kinds";
import type { StandFact, StandSurroundings } from "./kinds/model";
import type { TankRoom } from "./standWater";

/** Doubts and figures of a stand that its measures alone do not tell. @source domain rules of the kinds */
export function standChecks(
  spec: StandSpec,
  around: StandSurroundings,
): { readonly warnings: readonly StandFinding[]; readonly facts: readonly StandFact[] } {
  requireSpec("standChecks", spec);
  requireRange("standChecks", "latitudeDeg", around.latitudeDeg, -90, 90);
  return modelOf(spec).checks?.(spec, around) ?? { warnings: [], facts: [] };
}

/** Says when a tank cannot take what comes back. @source headspace = tank − normal fill level */
export function headspaceWarning({
  loopName,
  drainBackL,
  headspaceL,
  overflowL,
}: TankRoom & { readonly loopName: string }): StandFinding[] {
  requireFigures(
    "headspaceWarning",
    { drainBackL, headspaceL, overflowL },
    { drainBackL: [0, GREATEST], headspaceL: [0, GREATEST], overflowL: [0, GREATEST] },
  );
  return overflowL > 0 ? [{ kind: "tank-overflows", loopName, drainBackL, headspaceL }] : [];
}
