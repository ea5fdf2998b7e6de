import { requireRect } from "./requireRect";
import { requireWhole, requireRange } from "../units/range";
import { requireSpec } from "./kinds/requireSpec";
import { modelOf, type StandSpec } from "./kinds";
import type { PointM, RectM, StandLayout } from "./kinds/model";
import type { PlacedStand } from "./stand";

export type { PointM, RectM, StandLayout } from "./kinds/model";

/** Lays a stand out in its own rectangle. @source sums of widths, gaps and aisles */
export function standLayout(spec: StandSpec): StandLayout {
  requireSpec("standLayout", spec);
  return modelOf(spec).layout(spec);
}

/** Sites of one line in the line's own rectangle. */
export function lineSitePoints(spec: StandSpec): readonly PointM[] {
  requireSpec("lineSitePoints", spec);
  return modelOf(spec).sitePoints(spec);
}

/** What a person calls a line of a stand: "channel 7", "bed 2", "shelf 1, tray 3". */
export function lineLabel(spec: StandSpec, line: number): string {
  requireWhole("lineLabel", "line", line, 0, 1_000_000);
  requireSpec("lineLabel", spec);
  const { lineLabel: own, words } = modelOf(spec);
  return own ? own(spec, line) : `${words.line} ${line + 1}`;
}

/** Whether a line is seen from above: trays of lower shelves lie under those of the top one. */
export function isInSight(spec: StandSpec, line: number): boolean {
  requireWhole("isInSight", "line", line, 0, 1_000_000);
  requireSpec("isInSight", spec);
  return modelOf(spec).isInSight?.(spec, line) ?? true;
}

/** The rectangle of a placed stand in its house. */
export function standFootprint(stand: Pick<PlacedStand, "spec" | "turned" | "xM" | "yM">): RectM {
  requireRange("standFootprint", "xM", stand.xM, -10_000, 10_000);
  requireRange("standFootprint", "yM", stand.yM, -10_000, 10_000);
  const { lengthM, widthM } = standLayout(stand.spec);
  const [alongX, alongY] = stand.turned ? [widthM, lengthM] : [lengthM, widthM];
  return { xM: stand.xM, yM: stand.yM, lengthM: alongX, widthM: alongY };
}

/** Turns a rectangle of the stand's own layout into the house's coordinates. */
export function toHouse(rect: RectM, stand: Pick<PlacedStand, "turned" | "xM" | "yM">): RectM {
  requireRect("toHouse", rect);
  requireRange("toHouse", "xM of the stand", stand.xM, -10_000, 10_000);
  requireRange("toHouse", "yM of the stand", stand.yM, -10_000, 10_000);
  return stand.turned
    ? { xM: stand.xM + rect.yM, yM: stand.yM + rect.xM, lengthM: rect.widthM, widthM: rect.lengthM }
    : { ...rect, xM: stand.xM + rect.xM, yM: stand.yM + rect.yM };
}
