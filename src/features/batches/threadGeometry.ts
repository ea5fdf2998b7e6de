import { scaleLinear } from "d3";
import { civilDate, MONTHS, type Day } from "@/core/units/day";
import type { SeasonView } from "@/core/garden/seasonView";

export interface BlockRect {
  readonly key: string;
  readonly batchId: number;
  readonly stage: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Stands above the capacity line. */
  readonly over: boolean;
  /** The largest piece of the stay carries its label. */
  readonly labelled: boolean;
}

export interface GrowingAreaBand {
  readonly growingAreaId: number;
  readonly top: number;
  readonly capacityY: number;
  readonly bottom: number;
  /** Sites between bottom and capacity line; fewer than the growing area has where it is never nearly full. */
  readonly shownSites: number;
}

export interface ThreadGeometry {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly dayWidth: number;
  readonly bands: readonly GrowingAreaBand[];
  readonly blocks: readonly BlockRect[];
  /** Moves from growing area to growing area, batch by batch. */
  readonly threads: readonly {
    readonly batchId: number;
    readonly x: number;
    readonly y1: number;
    readonly y2: number;
  }[];
  readonly months: readonly { readonly x: number; readonly name: string }[];
  readonly weeks: readonly number[];
  readonly marketTop: number;
  readonly marketBottom: number;
  x(day: Day): number;
}

const LEFT = 124;
const RIGHT = 8;
/** Months, then the mark of today, then the first growing area. */
const TOP = 44;
const GAP = 10;
/** Room above a capacity line for what does not fit, as a share of the band. */
const OVERHEAD = 0.16;
const MARKET = 54;
const LEAST_BAND = 18;
/** A growing area that is never nearly full is drawn up to this many times its peak: the rest would be empty. */
const CROP_AT_PEAKS = 1.35;
/** A growing area that is passed within days holds blocks too short for a label: less height will do. */
const QUICK_POOL_DAYS = 14;
const QUICK_SHARE = 0.4;
/** Height grows a little slower than the number of lines, so that small growing areas can still be read. */
const HEIGHT_EXPONENT = 0.8;

/**
 * Lays the season out: days across, growing areas down with their sites as height, blocks on the sites they take.
 * @param width in pixels
 * @param height in pixels; bands share what the head and the market strip leave
 */
export function threadGeometry(view: SeasonView, width: number, height: number): ThreadGeometry {
  const dayWidth = (width - LEFT - RIGHT) / (view.to - view.from);
  const x = (day: Day) => LEFT + (Math.min(view.to, Math.max(view.from, day)) - view.from) * dayWidth;
  const bands = growingAreaBands(view, height - TOP - MARKET - 24);
  const blocks = bands.flatMap((band) => blocksOf(band, view, x));
  return {
    width,
    height,
    left: LEFT,
    dayWidth,
    bands,
    blocks,
    threads: threadsOf(view, blocks, x),
    ...ticks(view, x),
    marketTop: height - MARKET,
    marketBottom: height - 12,
    x,
  };
}

/** Height by the growing area's real lines, as far as they are shown. */
function growingAreaBands(view: SeasonView, room: number): GrowingAreaBand[] {
  const growingAreas = view.growingAreas.map((growingArea) => {
    const blocks = view.blocks.filter((block) => block.growingAreaId === growingArea.id);
    const peak = Math.max(0, ...blocks.flatMap((block) => block.runs.map((run) => run.end)));
    const shownSites = Math.max(
      1,
      Math.min(growingArea.sites, Math.ceil(Math.max(peak, growingArea.sites / 10) * CROP_AT_PEAKS)),
    );
    const quick = median(blocks.map((block) => block.to - block.from)) < QUICK_POOL_DAYS;
    const lines = Math.max(1, (growingArea.lines * shownSites) / Math.max(1, growingArea.sites));
    return { growingArea, shownSites, weight: lines ** HEIGHT_EXPONENT * (quick ? QUICK_SHARE : 1) };
  });
  const weights = growingAreas.reduce((sum, entry) => sum + entry.weight, 0);
  const free = room - (GAP + LEAST_BAND) * growingAreas.length;
  let top = TOP;
  return growingAreas.map(({ growingArea, shownSites, weight }) => {
    const height = LEAST_BAND + (free * weight) / weights;
    const capacityY = shownSites < growingArea.sites ? top : top + (height * OVERHEAD) / (1 + OVERHEAD);
    const band = { growingAreaId: growingArea.id, top, capacityY, bottom: top + height, shownSites };
    top += height + GAP;
    return band;
  });
}

function median(values: readonly number[]): number {
  return values.length ? [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]! : 0;
}

function blocksOf(band: GrowingAreaBand, view: SeasonView, x: (day: Day) => number): BlockRect[] {
  const { sites } = view.growingAreas.find((growingArea) => growingArea.id === band.growingAreaId)!;
  const y = scaleLinear([0, band.shownSites], [band.bottom, band.capacityY]);
  return view.blocks
    .filter((block) => block.growingAreaId === band.growingAreaId)
    .flatMap((block) => {
      const largest = Math.max(...block.runs.map((run) => run.end - run.start));
      let labelled = false;
      return block.runs.map((run, index) => {
        const isLargest = !labelled && run.end - run.start === largest;
        labelled ||= isLargest;
        const top = Math.max(band.top, y(run.end));
        const bottom = Math.max(top + 2, y(run.start));
        return {
          key: `${block.batchId}/${block.stage}/${index}`,
          batchId: block.batchId,
          stage: block.stage,
          x: x(block.from),
          y: top,
          width: Math.max(2, x(block.to) - x(block.from)),
          height: Math.max(2, bottom - top),
          over: run.start >= sites,
          labelled: isLargest,
        };
      });
    });
}

function threadsOf(view: SeasonView, blocks: readonly BlockRect[], x: (day: Day) => number) {
  const middle = new Map<string, number>();
  for (const block of blocks)
    if (block.labelled) middle.set(`${block.batchId}/${block.stage}`, block.y + block.height / 2);
  return view.batches.flatMap((batch) =>
    batch.steps.slice(1).flatMap((step, index) => {
      const y1 = middle.get(`${batch.id}/${index}`);
      const y2 = middle.get(`${batch.id}/${index + 1}`);
      return y1 !== undefined && y2 !== undefined && step.from > view.from && step.from < view.to
        ? [{ batchId: batch.id, x: x(step.from), y1, y2 }]
        : [];
    }),
  );
}

/** Room for the name of a month. */
const MONTH_NAME_PX = 70;

function ticks(view: SeasonView, x: (day: Day) => number) {
  const months: { x: number; name: string }[] = [];
  const weeks: number[] = [];
  for (let day = view.from; day < view.to; day++) {
    const { dayOfMonth, weekday, month } = civilDate(day);
    if (dayOfMonth === 1 || day === view.from) months.push({ x: x(day), name: MONTHS[month - 1]! });
    if (weekday === 1) weeks.push(x(day));
  }
  // A month that begins right behind the left edge would be written over the one before.
  const [first, second] = months;
  if (first && second && second.x - first.x < MONTH_NAME_PX) months.shift();
  // Nor is there room for the name of one that begins right before the right edge.
  const end = x(view.to);
  return { months: months.map((month) => (end - month.x < MONTH_NAME_PX ? { ...month, name: "" } : month)), weeks };
}
