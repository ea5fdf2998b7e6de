import { requireHouse } from "./requireRect";
import { densities, type Densities } from "./density";
import { standCounts } from "./standCounts";
import { standFootprint } from "./standLayout";
import type { PlacedStand } from "./stand";

type Placed = Pick<PlacedStand, "xM" | "yM" | "turned" | "spec">;

/** Nothing is divided by an empty ground. */
export const LEAST_GROUND_M2 = 1e-9;

/** Ground of a stand with its aisles, in m², and the access strips along it. */
export function standGroundM2({ spec, xM, yM }: Placed): number {
  const { lengthM, widthM } = standFootprint({ spec, xM, yM, turned: false });
  return lengthM * (widthM + 2 * ("accessM" in spec ? spec.accessM : 0));
}

/** How dense a stand is, three ways. @source densities of its counts */
export function standDensities(stand: Placed, house: { readonly lengthM: number; readonly widthM: number }): Densities {
  requireHouse("standDensities", house);
  const { sites, lines, lineAreaM2 } = standCounts(stand.spec);
  return densities(
    sites,
    Math.max(LEAST_GROUND_M2, lines * lineAreaM2),
    Math.max(LEAST_GROUND_M2, standGroundM2(stand)),
    house.lengthM * house.widthM,
  );
}
