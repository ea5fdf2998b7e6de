import { requireRange } from "../units/range";

/** A pipe as it is sold, and what it is inside. */
export interface PipeSize {
  readonly id: string;
  readonly name: string;
  /** Where it is sold so. */
  readonly system: "metric" | "us";
  readonly boreMm: number;
}

/**
 * Trade sizes and their bores. The bore of soft drip pipe differs from maker to maker: measure where it matters.
 * @source polyethylene pressure pipe: ISO 4427-2, SDR 11; schedule 40: ASTM D1785; hoses are named by their bore; soft
 *   drip pipe: common practice, ± 0.5 mm
 */
export const PIPE_SIZES: readonly PipeSize[] = [
  { id: "drip-12", name: "12 mm drip pipe", system: "metric", boreMm: 10 },
  { id: "drip-16", name: "16 mm drip pipe", system: "metric", boreMm: 13.6 },
  { id: "drip-20", name: "20 mm drip pipe", system: "metric", boreMm: 17.6 },
  { id: "hose-13", name: "13 mm hose", system: "metric", boreMm: 13 },
  { id: "hose-16", name: "16 mm hose", system: "metric", boreMm: 16 },
  { id: "hose-19", name: "19 mm hose", system: "metric", boreMm: 19 },
  { id: "hose-25", name: "25 mm hose", system: "metric", boreMm: 25 },
  { id: "pe-20", name: "20 mm pressure pipe", system: "metric", boreMm: 16 },
  { id: "pe-25", name: "25 mm pressure pipe", system: "metric", boreMm: 20.4 },
  { id: "pe-32", name: "32 mm pressure pipe", system: "metric", boreMm: 26 },
  { id: "pe-40", name: "40 mm pressure pipe", system: "metric", boreMm: 32.6 },
  { id: "pe-50", name: "50 mm pressure pipe", system: "metric", boreMm: 40.8 },
  { id: "pe-63", name: "63 mm pressure pipe", system: "metric", boreMm: 51.4 },
  { id: "drip-half", name: "½ in drip tubing", system: "us", boreMm: 15.2 },
  { id: "hose-half", name: "½ in hose", system: "us", boreMm: 12.7 },
  { id: "hose-5-8", name: "⅝ in hose", system: "us", boreMm: 15.875 },
  { id: "hose-3-4", name: "¾ in hose", system: "us", boreMm: 19.05 },
  { id: "s40-half", name: "½ in schedule 40", system: "us", boreMm: 15.8 },
  { id: "s40-3-4", name: "¾ in schedule 40", system: "us", boreMm: 20.93 },
  { id: "s40-1", name: "1 in schedule 40", system: "us", boreMm: 26.64 },
  { id: "s40-1-1-4", name: "1¼ in schedule 40", system: "us", boreMm: 35.05 },
  { id: "s40-1-1-2", name: "1½ in schedule 40", system: "us", boreMm: 40.89 },
  { id: "s40-2", name: "2 in schedule 40", system: "us", boreMm: 52.5 },
];

/** What fittings take, as K on the velocity head of the pipe: common practice. */
export const FITTING_K = { elbow: 0.9, valve: 0.2, inlet: 0.5, outlet: 1 } as const;

/** Water in a delivery pipe is kept slower than this. */
const USUAL_VELOCITY_M_PER_S = 1.2;

/** Inlet and outlet: what every pipe has. */
export const ENDS_K = FITTING_K.inlet + FITTING_K.outlet;

/**
 * K of a pipe with so many elbows and open full-bore valves, and of all else that is in it.
 * @param elbows 0–500
 * @param valves 0–500
 * @param otherK 0–1000; its inlet and outlet where nothing else is known
 * @throws RangeError for a count outside its range
 * @source common practice: elbow 0.9, open ball valve 0.2, inlet 0.5, outlet 1
 * @example fittingsK(4, 1) // 5.3
 */
export function fittingsK(elbows: number, valves = 0, otherK: number = ENDS_K): number {
  requireRange("fittingsK", "elbows", elbows, 0, 500);
  requireRange("fittingsK", "valves", valves, 0, 500);
  requireRange("fittingsK", "otherK", otherK, 0, 1000);
  return otherK + elbows * FITTING_K.elbow + valves * FITTING_K.valve;
}

/**
 * The least pressure pipe in which a flow stays under 1.2 m/s; the largest that is sold where none is wide enough.
 * @param flowLph 0–1 000 000
 * @throws RangeError for a flow outside its range
 * @source common practice for delivery pipes
 */
export function usualPipe(flowLph: number, system: PipeSize["system"]): PipeSize {
  requireRange("usualPipe", "flowLph", flowLph, 0, 1_000_000);
  const sold = PIPE_SIZES.filter(({ id, system: where }) => where === system && /^(?:pe|s40)-/u.test(id));
  const wide = sold.find(
    ({ boreMm }) => flowLph / 3600 / 1000 / ((Math.PI * (boreMm / 1000) ** 2) / 4) <= USUAL_VELOCITY_M_PER_S,
  );
  return wide ?? sold.at(-1)!;
}
