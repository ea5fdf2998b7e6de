import { requireFigures } from "../units/range";

/** Longer than this a nutrient film runs short of oxygen and of what the first plants took. */
export const LONG_RUN_M = 15;

/** Lines of a bank that feed one another in runs: zig-zag frames, stacked tiers. */
export interface SeriesBank {
  readonly lines: number;
  readonly linesPerRun: number;
  readonly flowPerRunLph: number;
  readonly lineLengthM: number;
  /** Of the tube from a line to the next one. */
  readonly joinLengthM: number;
  readonly plantsPerLine: number;
}

/** Runs of a bank, the last of which takes the lines that are left. */
export interface SeriesRuns {
  readonly linesOfRuns: readonly number[];
  readonly flowWantedLph: number;
  readonly lengthsM: readonly number[];
  readonly longestM: number;
  /** Longer than a film should be; exactly so long is not. */
  readonly isTooLong: boolean;
  readonly perPlantLph: readonly number[];
}

/**
 * Lines dealt out in runs: one flow goes through all lines of a run, so that a bank wants the flow of as many lines as it has
 * runs.
 *
 * @throws RangeError when a figure is outside its range
 * @source continuity; tests/reference/water/series.json, "runs"
 * @example runsInSeries({ lines: 12, linesPerRun: 3, flowPerRunLph: 90, lineLengthM: 6, joinLengthM: 0.4, plantsPerLine: 24 }).flowWantedLph // 360
 */
export function runsInSeries(bank: SeriesBank): SeriesRuns {
  requireFigures("runsInSeries", bank, {
    lines: [0, 100_000, "whole"],
    linesPerRun: [1, 100_000, "whole"],
    flowPerRunLph: [0, 1_000_000],
    lineLengthM: [0, 1000],
    joinLengthM: [0, 100],
    plantsPerLine: [0, 100_000, "whole"],
  });
  const { lines, linesPerRun, flowPerRunLph, lineLengthM, joinLengthM, plantsPerLine } = bank;
  const linesOfRuns = Array.from({ length: Math.ceil(lines / linesPerRun) }, (_, run) =>
    Math.min(linesPerRun, lines - run * linesPerRun),
  );
  const lengthsM = linesOfRuns.map((own) => own * lineLengthM + (own - 1) * joinLengthM);
  const longestM = Math.max(0, ...lengthsM);
  return {
    linesOfRuns,
    flowWantedLph: linesOfRuns.length * flowPerRunLph,
    lengthsM,
    longestM,
    isTooLong: longestM > LONG_RUN_M + 1e-9,
    perPlantLph: linesOfRuns.map((own) => (plantsPerLine > 0 ? flowPerRunLph / (own * plantsPerLine) : 0)),
  };
}
