import { modelOf, type StandSpec } from "./kinds";
import { traysOf } from "./kinds/racks";
import type { PointM, RectM, StandLayout } from "./kinds/model";
import type { PlacedStand } from "./stand";

export type { PointM, RectM, StandLayout } from "./kinds/model";

/** Lays a stand out in its own rectangle. @source sums of widths, gaps and aisles */
export function standLayout(spec: StandSpec): StandLayout {
  return modelOf(spec).layout(spec);
}

/** Sites of one line in the line's own rectangle. */
export function lineSitePoints(spec: StandSpec): readonly PointM[] {
  return modelOf(spec).sitePoints(spec);
}

/** What a person calls a line of a stand: "channel 7", "bed 2", "shelf 1, tray 3". */
export function lineLabel(spec: StandSpec, line: number): string {
  const { lineLabel: own, words } = modelOf(spec);
  return own ? own(spec, line) : `${words.line} ${line + 1}`;
}

/** Whether a line is seen from above: trays of lower shelves lie under those of the top one. */
export function isInSight(spec: StandSpec, line: number): boolean {
  if (spec.kind !== "tray-rack" && spec.kind !== "shoots-rack") return true;
  const { traysPerShelf } = traysOf(spec);
  return line % (traysPerShelf * spec.shelvesPerRack) < traysPerShelf;
}

/** The rectangle of a placed stand in its house. */
export function standFootprint(stand: Pick<PlacedStand, "spec" | "turned" | "xM" | "yM">): RectM {
  const { lengthM, widthM } = standLayout(stand.spec);
  const [alongX, alongY] = stand.turned ? [widthM, lengthM] : [lengthM, widthM];
  return { xM: stand.xM, yM: stand.yM, lengthM: alongX, widthM: alongY };
}

/** Turns a rectangle of the stand's own layout into the house's coordinates. */
export function toHouse(rect: RectM, stand: Pick<PlacedStand, "turned" | "xM" | "yM">): RectM {
  return stand.turned
    ? { xM: stand.xM + rect.yM, yM: stand.yM + rect.xM, lengthM: rect.widthM, widthM: rect.lengthM }
    : { ...rect, xM: stand.xM + rect.xM, yM: stand.yM + rect.yM };
}
