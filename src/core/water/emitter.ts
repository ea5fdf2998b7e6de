import { requireFigures, requireRange } from "../units/range";

/** What lets water out at one spot of a line: a dripper, a hole of a tape, a micro-tube, a metre of porous hose. */
export interface Emitter {
  readonly nominalFlowLph: number;
  readonly nominalHeadM: number;
  /** x of q = k·H^x: about 0.5 turbulent, 0 pressure compensating, 0.7 to 1 micro-tube and porous hose. */
  readonly exponent: number;
  /** A pressure-compensating emitter gives its nominal flow from this head on; null: at any head over 0. */
  readonly leastHeadM: number | null;
}

/** Flow at a head, and how it grows with the head. */
export interface Outlet {
  readonly flowLph: number;
  /** L/h for each metre. */
  readonly slope: number;
}

const DRY: Outlet = { flowLph: 0, slope: 0 };

/**
 * The flow of an emitter as a function of the head at it, for solvers that ask many times: q = k·H^x with
 * k = nominal flow ÷ nominal head^x; a pressure-compensating one below its least head gives q0·√(H ÷ least head). None draws
 * air: no flow at a head of 0 or less.
 *
 * @returns flow and its slope at a head, m
 * @throws RangeError when a figure of the emitter is outside its range
 * @source Keller and Karmeli 1974, Trans. ASAE 17(4); below the compensating range an orifice
 */
export function outletOf(emitter: Emitter): (headM: number) => Outlet {
  requireFigures("outletOf", emitter, {
    nominalFlowLph: [0.001, 100_000],
    nominalHeadM: [0.01, 200],
    exponent: [0, 1.5],
    leastHeadM: [0.01, 200],
  });
  const { nominalFlowLph: q0, nominalHeadM, exponent: x, leastHeadM } = emitter;
  if (leastHeadM !== null)
    return (headM) => {
      if (headM <= 0) return DRY;
      if (headM >= leastHeadM) return { flowLph: q0, slope: 0 };
      const flowLph = q0 * Math.sqrt(headM / leastHeadM);
      return { flowLph, slope: flowLph / (2 * headM) };
    };
  const k = q0 / nominalHeadM ** x;
  return (headM) => {
    if (headM <= 0) return DRY;
    // The usual exponent is much faster as a root.
    const flowLph = k * (x === 0.5 ? Math.sqrt(headM) : headM ** x);
    return { flowLph, slope: (x * flowLph) / headM };
  };
}

/** The flow of an emitter at a head, L/h. @throws RangeError when a figure is outside its range */
export function emitterFlowLph(emitter: Emitter, headM: number): number {
  requireRange("emitterFlowLph", "headM", headM, -1000, 1000);
  return outletOf(emitter)(headM).flowLph;
}
