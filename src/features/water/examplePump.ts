import { PLAIN_PIPE, type LoopPump } from "@/core/water/loopPump";

const LEVELS = { lowestWaterM: 0.2, waterSinksM: 0 };
const PIPE = {
  highestOutletM: 1.2,
  headWantedM: 0,
  pipeLengthM: 10,
  boreMm: 26,
  elbows: 4,
  valves: 1,
  fittingsK: 1.5,
  ...PLAIN_PIPE,
  nonReturnValve: false,
};

/** A small pump to begin with, by its label or its maker's table, and a short riser. */
export const EXAMPLE_PUMPS = {
  label: { kind: "label", flowAtNoLiftLph: 3000, greatestLiftM: 3, ...LEVELS, ...PIPE },
  table: {
    kind: "table",
    points: [
      { flowLph: 0, headM: 5 },
      { flowLph: 3000, headM: 3 },
      { flowLph: 5500, headM: 1 },
    ],
    ...LEVELS,
    ...PIPE,
  },
  gravity: { kind: "gravity", ...PIPE, highestOutletM: 0.3, lowestWaterM: 0.8, waterSinksM: 0.8 },
  mains: {
    kind: "mains",
    ...{ supplyHeadM: 30, setHeadM: 10, regulatorLeastLph: 20, regulatorGreatestLph: 1500, regulatorLossM: 2 },
    ...PIPE,
    highestOutletM: 0.3,
  },
} as const satisfies { readonly [Kind in LoopPump["kind"]]: Extract<LoopPump, { readonly kind: Kind }> };
