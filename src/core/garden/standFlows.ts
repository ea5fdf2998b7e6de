import { flood } from "../place/kinds/floodAndMedia";
import { LONG_RUN_M, runsInSeries } from "../place/runsInSeries";
import { standFlow } from "../place/standFlow";
import { turnoverPerHour } from "../place/turnoverPerHour";
import { requireFigures } from "../units/range";
import { timerRuns } from "../water/timer";
import { pumpOnPipes } from "./ladderPump";
import { sunriseAndSunset } from "../place/climate/sun";
import { dayOfYear } from "../units/day";
import type { Loop, Stand } from "./garden";
import { standingOnStand } from "./standing";
import type { Worked } from "./worked";

/** Flow of a film channel against the band that is usual for its length. */
export interface FilmBand {
  readonly leastLph: number;
  readonly mostLph: number;
  readonly verdict: "under" | "within" | "over";
}

const L_PER_MIN = 60;
/** Nursery channels are no longer than this. */
const SHORT_CHANNEL_M = 3;
const LONG_CHANNEL_M = 12;

/**
 * The band of flow that is usual for a film channel: 1 to 2 L/min, from 0.5 in short nursery channels, up to 3 over 12 m.
 * @source usual practice of film channels
 */
export function filmBand(lengthM: number, flowLph: number): FilmBand {
  requireFigures("filmBand", { lengthM, flowLph }, { lengthM: [0, 100_000], flowLph: [0, 1_000_000] });
  const leastLph = (lengthM <= SHORT_CHANNEL_M ? 0.5 : 1) * L_PER_MIN;
  const mostLph = (lengthM > LONG_CHANNEL_M ? 3 : 2) * L_PER_MIN;
  // A hundredth of a band is no fault of anybody's.
  const verdict = flowLph < leastLph * 0.99 ? "under" : flowLph > mostLph * 1.01 ? "over" : "within";
  return { leastLph, mostLph, verdict };
}

/** What is particular to a kind of stand. */
export type StandFlowOf =
  | { readonly kind: "film"; readonly band: FilmBand; readonly runM: number; readonly mostRunM: number }
  /** Of what a tower gets in a day, what is left for its lowest tier once the others have drunk. */
  | { readonly kind: "towers"; readonly bottomShare: number | null }
  | {
      readonly kind: "flood";
      readonly floodL: number;
      /** One run of benches, at the flow it gets; null where it gets none. */
      readonly fillMin: number | null;
      readonly drainMin: number;
      readonly floodsPerDay: number;
      readonly floodDepthM: number;
      readonly verdict: "floods" | "run-too-short" | "never-drains";
    }
  | { readonly kind: "pond"; readonly turnoverPerHour: number }
  | { readonly kind: "drip" }
  | { readonly kind: "other" };

/** What the lines of a stand get of their loop today. */
export interface StandFlowView {
  readonly id: number;
  readonly name: string;
  readonly linesPerRun: number;
  /** One line, or run of lines, at the bank of the stand that gets least, while it is open. */
  readonly lineLph: number;
  readonly wantedLph: number;
  readonly perPlantLph: number;
  /** Of one line, over the runs of today. */
  readonly lineLpd: number;
  readonly of: StandFlowOf;
}

/**
 * What each stand of a loop gets, line by line, at the lowest water: by the network where something gives pressure, else as
 * the stand wants it.
 *
 * @source pumpOnPipes, runsInSeries, floodBench
 */
export function standFlows(worked: Worked, loop: Loop): StandFlowView[] {
  const stands = worked.garden.stands.filter(({ loopId }) => loopId === loop.id);
  const pumped = pumpOnPipes(loop, stands);
  const sun = sunriseAndSunset(worked.garden.latitudeDeg, dayOfYear(worked.today));
  const runs = timerRuns(loop.timer, sun);
  return stands.flatMap((stand): StandFlowView[] => {
    const flow = standFlow(stand.spec);
    if (flow.lineFlowLph <= 0) return [];
    const share = pumped ? (pumped.shares.get(stand.id) ?? 1) : 1;
    const lineLph = flow.lineFlowLph * share;
    return [
      {
        ...{ id: stand.id, name: stand.name, linesPerRun: flow.linesPerRun, lineLph, wantedLph: flow.lineFlowLph },
        lineLpd: (lineLph * minutesOf(runs)) / loop.turns / 60,
        perPlantLph: flow.sitesPerFeed > 0 ? lineLph / flow.sitesPerFeed : 0,
        of: particulars(worked, stand, lineLph, runs, loop.turns),
      },
    ];
  });
}

interface Run {
  readonly startMin: number;
  readonly lengthMin: number;
}

function particulars(
  worked: Worked,
  { id, spec }: Stand,
  lineLph: number,
  runs: readonly Run[],
  turns: number,
): StandFlowOf {
  switch (spec.kind) {
    case "channel-bank": {
      const { lines, linesPerRun, lineLengthM, joinLengthM } = spec;
      const bank = { lines, linesPerRun, lineLengthM, joinLengthM, flowPerRunLph: lineLph, plantsPerLine: 0 };
      const runM = runsInSeries(bank).longestM;
      // Water that is dammed is no film.
      if (spec.damMm > 0) return { kind: "other" };
      return { kind: "film", band: filmBand(runM, lineLph), runM, mostRunM: LONG_RUN_M };
    }
    case "towers": {
      const { plants, needLpd } = standingOnStand(worked, id, worked.today);
      const towers = spec.rows * spec.towersPerRow;
      const givenLpd = (lineLph * minutesOf(runs)) / turns / 60;
      const drunkAboveLpd = ((needLpd / towers) * (spec.tiers - 1)) / spec.tiers;
      if (plants === 0 || givenLpd <= 0) return { kind: "towers", bottomShare: null };
      return { kind: "towers", bottomShare: Math.max(0, 1 - drunkAboveLpd / givenLpd) };
    }
    case "flood-bench": {
      const { floodVolumeL, drainTimeMin } = flood(spec);
      const inRun = Math.min(spec.lines, spec.linesPerRun);
      const fillMin = lineLph > 0 ? (floodVolumeL * inRun * 60) / lineLph : null;
      const longestMin = Math.max(0, ...runs.map(({ lengthMin }) => lengthMin)) / turns;
      return {
        ...{ kind: "flood", floodL: floodVolumeL, fillMin, drainMin: drainTimeMin, floodDepthM: spec.floodDepthM },
        floodsPerDay: runs.length,
        verdict:
          fillMin === null || fillMin > longestMin
            ? "run-too-short"
            : leastGapMin(runs) < drainTimeMin
              ? "never-drains"
              : "floods",
      };
    }
    case "raft-pond": {
      const pondL = spec.pondLengthM * spec.pondWidthM * spec.waterDepthM * 1000;
      return { kind: "pond", turnoverPerHour: turnoverPerHour(lineLph, pondL) };
    }
    case "drip-beds":
    case "bucket-line":
      return { kind: "drip" };
    default:
      return { kind: "other" };
  }
}

const minutesOf = (runs: readonly Run[]) => runs.reduce((sum, { lengthMin }) => sum + lengthMin, 0);

/** From the end of a run to the begin of the next one, over midnight too; a timer that never stops leaves none. */
function leastGapMin(runs: readonly Run[]): number {
  if (runs.length === 0) return Infinity;
  return Math.min(
    ...runs.map(({ startMin, lengthMin }, at) => {
      const next = runs[at + 1]?.startMin ?? runs[0]!.startMin + 1440;
      return next - startMin - lengthMin;
    }),
  );
}
