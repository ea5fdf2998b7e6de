/**
 * Writes for some links the head lost along them at their flows, m, and how it grows with the flow, for each L/h. A pump's is
 * under 0.
 */
export type LinkLaw = (
  flowsLph: Float64Array,
  first: number,
  end: number,
  lossesM: Float64Array,
  slopes: Float64Array,
) => void;

/** How an outlet asks for head: the other way round from its flow at a head. */
export interface OutletLaw {
  /** No head gets more out of it, L/h; Infinity for most. */
  readonly greatestLph: number;
  /** Flow at a pressure head, L/h. */
  flowLph(headM: number): number;
  /** How the head that it asks for grows with its flow, m for each L/h. */
  headSlope(flowLph: number): number;
  /** Writes for some outlets the pressure heads at which they give their flows of 0 or more, m, and how those grow with the flows. */
  heads(flowsLph: Float64Array, first: number, end: number, headsM: Float64Array, slopes: Float64Array): void;
}
