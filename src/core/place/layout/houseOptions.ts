import { fitsIn } from "../fit";
import { requireRange } from "../../units/range";
import { requireRect } from "../requireRect";
import { STAND_KINDS, STAND_MODELS, modelOf, type StandKind, type StandSpec } from "../kinds";
import type { RectM } from "../kinds/model";
import { standWater } from "../standWater";
import { stretched } from "./stretch";
import { standCounts } from "../standCounts";
import { fillHouse, type FillRules, type HouseFilling } from "./fillHouse";

/** What a house would hold if it were filled with one kind of stand. */
export interface HouseOption {
  readonly kind: StandKind;
  readonly filling: HouseFilling;
  readonly perM2OfHouse: number;
  readonly heldL: number;
}

/**
 * "How many plants could I grow here?": the free ground filled with each kind's worked example, the most plants first.
 *
 * @param room free ground, and the whole house's area in m²
 * @source fillHouse of every kind
 */
export function houseOptions(room: RectM, houseAreaM2: number, rules: FillRules): HouseOption[] {
  requireRange("houseOptions", "houseAreaM2", houseAreaM2, 0.01, 1_000_000);
  const options = STAND_KINDS.map((kind): HouseOption => {
    const filling = fillHouse(room, STAND_MODELS[kind].example as StandSpec, rules);
    return {
      kind,
      filling,
      perM2OfHouse: filling.sites / houseAreaM2,
      heldL: filling.stands.reduce((sum, { spec }) => sum + standWater(spec).heldL, 0),
    };
  });
  // Cells and trays are no plants that grow up there: racks come last.
  const rank = ({ kind }: HouseOption) => (STAND_MODELS[kind].forYoungPlants ? 1 : 0);
  return options
    .filter(({ filling }) => filling.sites > 0)
    .sort((a, b) => rank(a) - rank(b) || b.filling.sites - a.filling.sites);
}

/** A kind's example made to fit a free rectangle: as large as it is or smaller; null when not even one line fits. */
export function exampleIn(
  room: RectM,
  kind: StandKind,
): { readonly xM: number; readonly yM: number; readonly spec: StandSpec } | null {
  requireRect("exampleIn", room);
  const example = STAND_MODELS[kind].example as StandSpec;
  const size = modelOf(example).layout(example);
  const spec = stretched(example, {
    alongM: Math.min(size.lengthM, room.lengthM),
    acrossM: Math.min(size.widthM, room.widthM),
  });
  const fitted = modelOf(spec).layout(spec);
  if (!fitsIn(fitted.lengthM, room.lengthM) || !fitsIn(fitted.widthM, room.widthM)) return null;
  if (standCounts(spec).sites === 0) return null;
  return { xM: room.xM, yM: room.yM, spec };
}
