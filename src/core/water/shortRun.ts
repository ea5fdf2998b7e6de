import { requireFigures } from "../units/range";

/** A line that is watered for a short time. */
export interface ShortRun {
  /** What fills before its emitters give all they can. */
  readonly lineVolumeL: number;
  /** What comes in while it fills, L/h: the flow of all its emitters, or of the pump where that is less. */
  readonly inletLph: number;
  /** What all its emitters give together once it is full. */
  readonly emittersLph: number;
  readonly runS: number;
  /** Emitters that hold the water back, or a line that lies lower than they: it is full when the next run begins. */
  readonly staysFull: boolean;
  readonly plants: number;
}

/** What a short run really gives. */
export interface ShortRunAnswer {
  readonly fillS: number;
  /** While the line is full. */
  readonly givenL: number;
  /** What runs out at the lowest emitters afterwards. */
  readonly drainsL: number;
  /** All of it, spread over the plants. */
  readonly perPlantL: number;
  /** Flow × time, as if it were full at once. */
  readonly asIfFullL: number;
  /** Of what the run takes in, what drains out at the low end in place of being shared. */
  readonly drainShare: number;
}

/**
 * What a run of seconds or minutes gives: first the line fills, then its emitters give, and afterwards it drains to its lowest
 * outlets, unless it stands full.
 *
 * @throws RangeError when a figure is outside its range
 * @source volume balance; no pressure while it fills
 * @example shortRun({ lineVolumeL: 1.45, inletLph: 52.8, emittersLph: 52.8, runS: 60, staysFull: false, plants: 33 }).fillS // 98.9
 */
export function shortRun({ lineVolumeL, inletLph, emittersLph, runS, staysFull, plants }: ShortRun): ShortRunAnswer {
  requireFigures(
    "shortRun",
    { lineVolumeL, inletLph, emittersLph, runS, plants },
    {
      lineVolumeL: [0, 100_000],
      inletLph: [0.01, 1_000_000],
      emittersLph: [0.01, 1_000_000],
      runS: [1, 86_400],
      plants: [1, 10_000_000],
    },
  );
  const fillS = staysFull ? 0 : (lineVolumeL / inletLph) * 3600;
  const givenL = (Math.max(0, runS - fillS) * emittersLph) / 3600;
  const drainsL = staysFull ? 0 : (Math.min(fillS, runS) * inletLph) / 3600;
  const allL = givenL + drainsL;
  return {
    fillS,
    givenL,
    drainsL,
    perPlantL: allL / plants,
    asIfFullL: (runS * emittersLph) / 3600 / plants,
    drainShare: allL > 0 ? drainsL / allL : 0,
  };
}
