import { requireLayout } from "./document";
import { STAND_MODELS } from "../kinds";
import { standCounts } from "../standCounts";
import { standDensities } from "../standDensities";
import { standFootprint } from "../standLayout";
import { standWater } from "../standWater";
import type { LayoutDocument } from "./document";

/** One row a stand: where it is, what it holds, how dense it is three ways. */
export function standsTable(layout: LayoutDocument): Readonly<Record<string, string | number>>[] {
  requireLayout("standsTable", layout);
  return layout.stands.map((stand) => {
    const counts = standCounts(stand.spec);
    const foot = standFootprint(stand);
    const water = standWater(stand.spec);
    const dense = standDensities(
      stand,
      layout.houses.find(({ name }) => name === stand.house)!,
    );
    const round = (value: number, digits = 3) => Number(value.toFixed(digits));
    return {
      house: stand.house,
      stand: stand.name,
      kind: STAND_MODELS[stand.spec.kind].words.name,
      growing_area: stand.growingArea,
      loop: stand.loop ?? "",
      x_m: round(stand.xM),
      y_m: round(stand.yM),
      turned: stand.turned ? "yes" : "no",
      length_m: round(foot.lengthM),
      width_m: round(foot.widthM),
      lines: counts.lines,
      sites_per_line: counts.sitesPerLine,
      sites: counts.sites,
      per_m2_of_line: round(dense.perM2OfLine, 2),
      per_m2_of_stand: round(dense.perM2OfStand, 2),
      per_m2_of_house: round(dense.perM2OfHouse, 2),
      held_l: round(water.heldL, 1),
      drain_back_l: round(water.drainBackL, 1),
    };
  });
}
