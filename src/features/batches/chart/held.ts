import { runsFrom, type Spot } from "@/core/garden/keepPlaces";
import type { BlockView, SeasonView } from "@/core/garden/seasonView";
import { siteStarts, type SiteRun } from "@/core/batches/places/siteRuns";

/** A batch that is shown elsewhere, not yet moved: on another sow day, or on other lines. */
export interface Held {
  readonly batchId: number;
  /** The stage whose block is in the hand. */
  readonly stage: number;
  readonly days: number;
  /** Lines that it is shifted by. */
  readonly lines: number;
  /** Where the shift in lines leads. */
  readonly spot: HeldSpot | null;
}

/** Other sites for a stage of a batch, and what is there already. */
export interface HeldSpot {
  readonly spot: Spot;
  readonly label: string;
  readonly runs: readonly SiteRun[];
  /** The stand has no sites for all of its plants from there on. */
  readonly missing: number;
  /** Kept there, or in the ground: it does not give way. */
  readonly inTheWay: BlockView | null;
  /** So many others were only worked out to stand there, and give way. */
  readonly givingWay: number;
}

/**
 * Where a block of the open growing area comes to stand when it is shifted by lines.
 * @param lines counted up along the picture: away from the first line of the growing area
 * @returns null where there is no such line
 */
export function spotOfShift(view: SeasonView, block: BlockView, lines: number): HeldSpot | null {
  const area = view.growingAreas.find(({ id }) => id === block.growingAreaId);
  if (!area) return null;
  const sitesPerLine = area.lines.map(({ sites }) => sites);
  const starts = siteStarts(sitesPerLine);
  const first = block.over > 0 ? 0 : Math.min(...block.runs.map(({ start }) => start));
  // What has no place yet comes in from above, onto the last line.
  const now = block.over > 0 ? area.lines.length : starts.findLastIndex((start) => start <= first);
  const at = now + lines;
  const line = area.lines[at];
  if (!line) return null;
  const firstSite = block.over > 0 ? 1 : first - starts[now]! + 1;
  const spot = { standId: line.standId, line: line.line, firstSite };
  const runs = runsFrom({ sitesPerLine, lines: area.lines }, at, spot, block.plants);
  const sites = runs.reduce((sum, { start, end }) => sum + end - start, 0);
  const others = view.blocks.filter(
    (other) =>
      other.growingAreaId === area.id &&
      other.over === 0 &&
      (other.batchId !== block.batchId || other.stage !== block.stage) &&
      other.from < block.to + area.cleaningDays &&
      other.to + area.cleaningDays > block.from &&
      other.runs.some((a) => runs.some((b) => a.start < b.end && b.start < a.end)),
  );
  const isBegun = ({ batchId, stage }: BlockView) =>
    view.batches.find(({ id }) => id === batchId)?.steps[stage]?.begun ?? false;
  const fixed = others.find((other) => other.kept !== null || isBegun(other));
  return {
    ...{ spot, label: line.label, runs, missing: block.plants - sites },
    inTheWay: fixed ?? null,
    givingWay: others.length,
  };
}
