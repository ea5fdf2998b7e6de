import { outletOf, type Emitter } from "../emitter";
import type { LinkLaw, OutletLaw } from "./laws";

/**
 * The law of an emitter turned round: H = (q/k)^(1/x); pressure compensating: least head × (q/q0)² up to q0, which no head
 * exceeds.
 *
 * @throws RangeError when a figure of the emitter is outside its range
 * @source as outletOf
 */
export function lawOfEmitter(emitter: Emitter): OutletLaw {
  const outlet = outletOf(emitter);
  const flowLph = (headM: number) => outlet(headM).flowLph;
  const { nominalFlowLph: q0, nominalHeadM, exponent, leastHeadM } = emitter;
  const isLimited = leastHeadM !== null || exponent === 0;
  // H = scale·q^power
  const power = isLimited ? 2 : 1 / exponent;
  const scale = (isLimited ? (leastHeadM ?? 0) : nominalHeadM) / q0 ** power;
  return {
    greatestLph: isLimited ? q0 : Infinity,
    flowLph,
    headSlope: (flow) => power * scale * flow ** (power - 1),
    heads(flowsLph, first, end, headsM, slopes) {
      for (let at = first; at < end; at++) {
        const flow = flowsLph[at]!;
        // The usual exponent is much faster as a square.
        const slope = scale * (power === 2 ? flow : flow ** (power - 1));
        headsM[at] = slope * flow;
        slopes[at] = power * slope;
      }
    },
  };
}

const ROUNDS = 60;

/** An open pipe as an outlet: it asks for the head that it loses. */
export function lawOfOpenPipe(pipe: LinkLaw): OutletLaw {
  const [flow, loss, slope] = [new Float64Array(1), new Float64Array(1), new Float64Array(1)];
  const lossM = (flowLph: number) => {
    flow[0] = flowLph;
    pipe(flow, 0, 1, loss, slope);
    return loss[0]!;
  };
  return {
    greatestLph: Infinity,
    flowLph(headM) {
      if (headM <= 0) return 0;
      let [low, high] = [0, 1];
      while (lossM(high) < headM) high *= 2;
      for (let round = 0; round < ROUNDS; round++) {
        const middle = (low + high) / 2;
        if (lossM(middle) < headM) low = middle;
        else high = middle;
      }
      return low;
    },
    headSlope(flowLph) {
      lossM(flowLph);
      return slope[0]!;
    },
    heads: pipe,
  };
}
