import { houseClashes } from "@/core/place/houseChecks";
import type { PlacedStand } from "@/core/place/stand";
import { inUnits } from "@/core/units/told";
import { RefusedError } from "../session/command";
import type { Session } from "../session/session";
import type { HouseInput } from "./schema";

/** A house is not made so small that stands which are there reach out of it. @throws RefusedError */
export function refuseStandsOutside(
  house: Pick<HouseInput, "name" | "lengthM" | "widthM">,
  stands: readonly PlacedStand[],
  who: Session,
): void {
  const outside = houseClashes(house, stands).find(({ kind }) => kind === "outside");
  if (outside) throw new RefusedError(inUnits(outside.message, who.units), "lengthM");
}
