import { isInSight, lineSitePoints, standLayout, toHouse, type PointM, type RectM } from "@/core/place/standLayout";
import type { PlacedStand } from "@/core/place/stand";
import type { GrowingRun } from "@/core/garden/placeView";
import type { CropMark } from "@/core/garden/cropMarks";
import { inkOn, innerMark, toneOf } from "@/features/frame/crops/cropMarks";
import { inMm } from "@/core/units/rounded";

/** Discs or stripes of one look, all in one path: thousands of sites cost a handful of elements. */
export interface PlantPath {
  readonly key: string;
  readonly tone: string;
  readonly strokeM: number;
  readonly d: string;
  /** The hatch drawn over it: a mark in each disc, or a line along each stripe. */
  readonly over: { readonly tone: string; readonly strokeM: number; readonly d: string; readonly dash?: string } | null;
}

export interface StandPaths {
  readonly lines: string;
  readonly free: string;
  readonly radiusM: number;
  readonly lineWidthM: number;
  /** Every plant a disc that grows with its age. */
  readonly discs: readonly PlantPath[];
  /** From far away: a stripe along the part of a line that a batch takes. */
  readonly stripes: readonly PlantPath[];
  /** Distance of neighbouring sites, to tell from how near they can be seen. */
  readonly spacingM: number;
}

const AGE_STEPS = 4;
const MOST_RADIUS_M = 0.1;

type Placed = Pick<PlacedStand, "spec" | "xM" | "yM" | "turned">;

/** Everything of a stand as paths, in the house's coordinates. */
export function standPaths(stand: Placed, growing: readonly GrowingRun[]): StandPaths {
  const { lines } = standLayout(stand.spec);
  const sites = lineSitePoints(stand.spec);
  const spacingM = spacingOf(sites);
  const radiusM = Math.min(MOST_RADIUS_M, spacingM * 0.4, (lines[0]?.widthM ?? 1) * 0.75);
  const isSeen = lines.map((_, line) => isInSight(stand.spec, line));
  const taken = new Uint8Array(lines.length * sites.length);
  const discs = new Map<string, Drawn>();
  const stripes = new Map<string, Drawn>();
  for (const run of growing) {
    const age = Math.min(AGE_STEPS, Math.max(1, Math.ceil(((run.dayOfStage + 1) / run.daysOfStage) * AGE_STEPS)));
    const own = drawnAt(discs, run.mark, age);
    const ownRadiusM = radiusM * ageShare(age);
    for (let index = run.start; index < Math.min(run.end, taken.length); index++) {
      taken[index] = 1;
      const line = Math.floor(index / sites.length);
      if (!isSeen[line]) continue;
      const { xM, yM } = pointOf(lines[line]!, sites[index % sites.length]!, stand);
      own.parts.push(`M${inMm(xM)} ${inMm(yM)}h0`);
      own.inner.push(innerMark(run.mark, xM, yM, ownRadiusM));
    }
    stripesOf(run, isSeen, sites.length, (line, from, to) =>
      drawnAt(stripes, run.mark, 0).parts.push(stripe(lines[line]!, from / sites.length, to / sites.length, stand)),
    );
  }
  const free: string[] = [];
  for (let index = 0; index < taken.length; index++) {
    const line = Math.floor(index / sites.length);
    if (!taken[index] && isSeen[line]) free.push(`M${point(lines[line]!, sites[index % sites.length]!, stand)}h0`);
  }
  return {
    lines: lines
      .filter((_, line) => isSeen[line])
      .map((line) => rectPath(toHouse(line, stand)))
      .join(""),
    free: free.join(""),
    radiusM,
    lineWidthM: lines[0]?.widthM ?? 1,
    spacingM,
    discs: [...discs].map(([key, { mark, age, parts, inner }]) => {
      const strokeM = 2 * radiusM * ageShare(age);
      const d = inner.join("");
      const over = d === "" ? null : { tone: inkOn(mark), strokeM: strokeM * 0.22, d };
      return { key, tone: toneOf(mark), strokeM, d: parts.join(""), over };
    }),
    stripes: [...stripes].map(([key, { mark, parts }]) => {
      const strokeM = (lines[0]?.widthM ?? 0.1) * 0.7;
      const [d, widthM] = [parts.join(""), strokeM * 0.25];
      const dash = { plain: null, bars: undefined, dots: `0 ${3 * widthM}`, slants: `${3 * widthM} ${3 * widthM}` }[
        mark.hatch
      ];
      const over = dash === null ? null : { tone: inkOn(mark), strokeM: widthM, d, ...(dash && { dash }) };
      return { key, tone: toneOf(mark), strokeM, d, over };
    }),
  };
}

/** What is drawn in one look. */
interface Drawn {
  readonly mark: CropMark;
  readonly age: number;
  readonly parts: string[];
  readonly inner: string[];
}

const ageShare = (age: number) => 0.45 + (0.55 * age) / AGE_STEPS;

function drawnAt(all: Map<string, Drawn>, mark: CropMark, age: number): Drawn {
  const key = `${mark.tone} ${mark.hatch} ${age}`;
  const own = all.get(key) ?? { mark, age, parts: [], inner: [] };
  all.set(key, own);
  return own;
}

/** The parts of lines that a run covers, as the sites [from, to) on each. */
function stripesOf(
  run: GrowingRun,
  isSeen: readonly boolean[],
  perLine: number,
  say: (line: number, from: number, to: number) => void,
) {
  for (let line = Math.floor(run.start / perLine); line < isSeen.length && line * perLine < run.end; line++)
    if (isSeen[line]) say(line, Math.max(0, run.start - line * perLine), Math.min(perLine, run.end - line * perLine));
}

/** Along the middle of a line, its share of the sites as its share of the length. */
function stripe(line: RectM, from: number, to: number, stand: Placed): string {
  const end = (share: number) => point(line, { xM: share * line.lengthM, yM: line.widthM / 2 }, stand);
  return `M${end(from)}L${end(to)}`;
}

function spacingOf([a, b]: readonly PointM[]): number {
  return a && b ? Math.max(0.02, Math.hypot(b.xM - a.xM, b.yM - a.yM)) : 0.25;
}

/** As `toHouse` turns a rectangle, for a point: it is asked for every site. */
const pointOf = (line: RectM, site: PointM, { turned, xM, yM }: Placed): PointM =>
  turned
    ? { xM: xM + line.yM + site.yM, yM: yM + line.xM + site.xM }
    : { xM: xM + line.xM + site.xM, yM: yM + line.yM + site.yM };

function point(line: RectM, site: PointM, stand: Placed): string {
  const { xM, yM } = pointOf(line, site, stand);
  return `${inMm(xM)} ${inMm(yM)}`;
}

export function rectPath({ xM, yM, lengthM, widthM }: RectM): string {
  return `M${inMm(xM)} ${inMm(yM)}h${inMm(lengthM)}v${inMm(widthM)}h${inMm(-lengthM)}z`;
}

/** The line under a point of the house, or null. */
export function lineUnder(stand: Placed, { xM, yM }: PointM): number | null {
  const { lines } = standLayout(stand.spec);
  const found = lines.findIndex((line, index) => {
    if (!isInSight(stand.spec, index)) return false;
    const rect = toHouse(line, stand);
    return xM >= rect.xM && xM <= rect.xM + rect.lengthM && yM >= rect.yM && yM <= rect.yM + rect.widthM;
  });
  return found < 0 ? null : found;
}
