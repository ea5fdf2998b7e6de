import { scaleLinear } from "d3";
import type { BatchView, BlockView, SeasonView } from "@/core/garden/seasonView";
import type { GrowingAreaView } from "@/core/garden/seasonAreas";
import type { Day } from "@/core/units/day";
import { monthTicks, type Ticks } from "./ticks";
import { profileOf, type Profile } from "./profile";

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

/** A growing area across the page: wide open with its lines, or folded to how full it is. */
export interface Band {
  readonly area: GrowingAreaView;
  readonly isOpen: boolean;
  readonly top: number;
  readonly capacityY: number;
  readonly bottom: number;
  /** Height of a site; sites are counted from below. */
  readonly siteHeight: number;
  readonly profile: Profile | null;
}

export interface ChartGeometry extends Ticks {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly dayWidth: number;
  readonly bands: readonly Band[];
  /** Of the growing area that is open. */
  readonly blocks: readonly BlockRect[];
  readonly marketTop: number;
  readonly marketBottom: number;
  x(day: Day): number;
}

export const LEFT = 148;
const RIGHT = 8;
/** Months, then the mark of today, then the first growing area. */
const TOP = 44;
const GAP = 5;
const FOLDED = 31;
const MARKET = 62;
/** A line of the open growing area carries a name; a few lines do not fill the page, and very many scroll. */
const LINE_PX = 15;
const LEAST_OPEN = 150;
const MOST_OPEN = 540;
/** Room above the capacity line of the open growing area, where something has no place. */
const OVERHEAD = 0.16;

/**
 * Lays the season out: days across, growing areas down in the order in which plants move through them. One is open: blocks
 * on its lines; the others are folded to how full they are.
 *
 * @param width in pixels
 * @param openId the growing area that is open
 */
export function chartGeometry(view: SeasonView, width: number, openId: number | null): ChartGeometry {
  const dayWidth = (width - LEFT - RIGHT) / (view.to - view.from);
  const x = (day: Day) => LEFT + (Math.min(view.to, Math.max(view.from, day)) - view.from) * dayWidth;
  let top = TOP;
  const bands = view.growingAreas.map((area): Band => {
    const band = area.id === openId ? openBand(view, area, top) : foldedBand(view, area, top, x);
    top = band.bottom + GAP;
    return band;
  });
  const height = top + MARKET;
  const open = bands.find(({ isOpen }) => isOpen);
  return {
    ...{ width, height, left: LEFT, dayWidth, bands, x },
    blocks: open ? blocksOf(open, view, x) : [],
    ...monthTicks(view, x),
    marketTop: height - MARKET + 8,
    marketBottom: height - 12,
  };
}

/** What is open at first: the first growing area that is over capacity, else the one that is most used. */
export function openAtFirst({ growingAreas }: SeasonView): number | null {
  const over = growingAreas.find(({ daysOver }) => daysOver > 0);
  if (over) return over.id;
  const used = (area: GrowingAreaView) => area.used.reduce((sum, sites) => sum + sites, 0);
  return [...growingAreas].sort((a, b) => used(b) - used(a))[0]?.id ?? null;
}

function openBand({ blocks }: SeasonView, area: GrowingAreaView, top: number): Band {
  const hasOver = blocks.some(({ growingAreaId, over }) => growingAreaId === area.id && over > 0);
  const room = Math.min(MOST_OPEN, Math.max(LEAST_OPEN, area.lines.length * LINE_PX));
  const capacityY = top + (hasOver ? room * OVERHEAD : 4);
  const bottom = capacityY + room;
  return {
    ...{ area, isOpen: true, top, capacityY, bottom, profile: null },
    siteHeight: room / Math.max(1, area.sites),
  };
}

function foldedBand({ from }: SeasonView, area: GrowingAreaView, top: number, x: (day: Day) => number): Band {
  const bottom = top + FOLDED;
  const most = Math.max(area.sites, ...area.used, 1);
  const y = scaleLinear([0, most], [bottom, top]);
  const capacityY = y(area.sites);
  return {
    ...{ area, isOpen: false, top, capacityY, bottom },
    siteHeight: FOLDED / most,
    profile: profileOf(area, from, x, y),
  };
}

function blocksOf(band: Band, view: SeasonView, x: (day: Day) => number): BlockRect[] {
  return view.blocks
    .filter(({ growingAreaId }) => growingAreaId === band.area.id)
    .flatMap((block) => rectsOf(band, block, x));
}

/** A stay on the sites of an open growing area: a rectangle for each run of its sites. */
function rectsOf({ area, top, bottom, siteHeight }: Band, block: BlockView, x: (day: Day) => number): BlockRect[] {
  const { batchId, stage, runs, from, to } = block;
  const largest = Math.max(...runs.map(({ start, end }) => end - start));
  const at = runs.findIndex(({ start, end }) => end - start === largest);
  return runs.map(({ start, end }, index) => {
    const y = Math.max(top, bottom - end * siteHeight);
    return {
      key: `${batchId}/${stage}/${index}`,
      ...{ batchId, stage, x: x(from), y },
      width: Math.max(2, x(to) - x(from)),
      height: Math.max(2, bottom - start * siteHeight - y),
      over: start >= area.sites,
      labelled: index === at,
    };
  });
}

/** The way of a batch over the whole picture: where it stands, its moves, and the days that it serves. */
export interface Way {
  readonly rects: readonly (BlockRect & { readonly isOpen: boolean })[];
  readonly moves: readonly { readonly x: number; readonly y1: number; readonly y2: number }[];
  readonly deliveries: readonly { readonly x: number; readonly units: number }[];
}

export function wayOf(geometry: ChartGeometry, view: SeasonView, batch: BatchView): Way {
  const rects = view.blocks
    .filter(({ batchId }) => batchId === batch.id)
    .sort((a, b) => a.stage - b.stage)
    .flatMap((block) => {
      const band = geometry.bands.find(({ area }) => area.id === block.growingAreaId);
      if (!band) return [];
      if (band.isOpen) return rectsOf(band, block, geometry.x).map((rect) => ({ ...rect, isOpen: true }));
      const height = Math.max(9, Math.min(FOLDED, block.plants * band.siteHeight));
      const [x, over] = [geometry.x(block.from), block.over > 0];
      const width = Math.max(4, geometry.x(block.to) - x);
      const rect = { x, width, height, y: band.bottom - height, over, labelled: true, isOpen: false };
      return [{ key: `${batch.id}/${block.stage}/0`, batchId: batch.id, stage: block.stage, ...rect }];
    });
  const middle = (stage: number) => {
    const rect = rects.find((one) => one.stage === stage && one.labelled);
    return rect && rect.y + rect.height / 2;
  };
  const inside = (day: Day) => day > view.from && day < view.to;
  const last = middle(batch.steps.length - 1);
  return {
    rects,
    moves: batch.steps.slice(1).flatMap(({ from }, at) => {
      const [y1, y2] = [middle(at), middle(at + 1)];
      return y1 !== undefined && y2 !== undefined && inside(from) ? [{ x: geometry.x(from), y1, y2 }] : [];
    }),
    deliveries:
      last === undefined
        ? []
        : batch.serves.filter(({ day }) => inside(day)).map(({ day, units }) => ({ x: geometry.x(day + 0.5), units })),
  };
}
