import { PIPE_WALLS, type LoopPump } from "../../water/loopPump";
import type { TimerProgram } from "../../water/timer";
import { choiceField, numberField, unionField } from "./field";

const LEVELS = [
  numberField("lowestWaterM", "Lowest water level, over the floor", "length", -20, 100),
  numberField("waterSinksM", "The water sinks by, from full to its lowest", "length", 0, 20, {
    initial: 0,
    hint: "then it is worked out at both levels",
  }),
] as const;
/** Where the water is pushed to, and the pipe. */
const PIPE = [
  numberField("highestOutletM", "Highest outlet, over the floor", "length", -20, 100),
  numberField("headWantedM", "Head wanted at the outlet", "length", 0, 200, {
    hint: "0 for open spigots, {10 m} for most drip",
  }),
  numberField("pipeLengthM", "Pipe length", "length", 0, 5000),
  numberField("boreMm", "Inside diameter (bore)", "bore", 2, 1000, {
    hint: "measured inside, never the nominal size",
  }),
  numberField("elbows", "Elbows", "count", 0, 500, { whole: true }),
  numberField("valves", "Open valves", "count", 0, 500, { whole: true }),
  numberField("fittingsK", "All else in the pipe (sum of K)", "ratio", 0, 1000, {
    hint: "inlet 0.5 and outlet 1; a filter, meter or narrow valve has its own",
  }),
  numberField("filterCleanM", "A filter takes, clean, as metres of water", "length", 0, 100, {
    initial: 0,
    hint: "0: no filter, or counted above",
  }),
  numberField("filterDirtyM", "And when it is due for cleaning", "length", 0, 100, {
    initial: 0,
    atLeast: { measure: "filterCleanM", words: "it must not be less than it takes when clean" },
  }),
  numberField("filterAtLph", "Both at a flow of", "flow", 1, 1_000_000, { initial: 1000 }),
  numberField("manifoldBoreMm", "Pipe along the lines, inside diameter", "bore", 0, 1000, {
    initial: 0,
    hint: "0: as wide as the pipe to it",
  }),
  numberField("bankValveK", "A bank’s valve (K)", "ratio", 0, 1000, {
    initial: 0,
    hint: "a full-bore ball valve 0.05, a small magnetic valve 5 to 20, by its own bore",
  }),
  choiceField(
    "wall",
    "The pipe is of",
    PIPE_WALLS,
    {
      plastic: "plastic or copper: smooth",
      hose: "rubber or fabric hose",
      steel: "galvanised steel",
      rusty: "old steel with rust",
    },
    { initial: "plastic" },
  ),
  numberField("waterC", "The water, when it is coldest", "temperature", 0, 50, {
    initial: 20,
    hint: "cold water creeps: at {5 °C} a slow line loses half as much again",
  }),
  { type: "switch", name: "nonReturnValve", label: "A non-return valve keeps the pipe full when the pump stops" },
] as const;

/** What gives a loop its pressure, and the pipe to its lines. */
export const PUMP = unionField<LoopPump>()({
  name: "pump",
  label: "Pump",
  nullable: true,
  labels: {
    label: "a pump, by the two figures on its label",
    table: "a pump, by a few points of its curve",
    gravity: "a tank that stands higher than the lines",
    mains: "the mains, behind a regulator",
  },
  kinds: {
    label: [
      numberField("flowAtNoLiftLph", "Flow at no lift", "flow", 1, 1_000_000, { hint: "often called maximum flow" }),
      numberField("greatestLiftM", "Greatest lift", "length", 0.05, 500, { hint: "often called maximum head" }),
      ...LEVELS,
      ...PIPE,
    ],
    table: [
      {
        type: "list",
        name: "points",
        label: "Pump curve",
        hint: "the maker’s table, flow rising from zero",
        least: 2,
        most: 30,
        rising: "flowLph",
        columns: [numberField("flowLph", "Flow", "flow", 0, 1_000_000), numberField("headM", "Head", "length", 0, 500)],
        fresh: { flowLph: 0, headM: 0 },
        addWords: "Add a point",
      },
      ...LEVELS,
      ...PIPE,
    ],
    gravity: [...LEVELS, ...PIPE],
    mains: [
      numberField("supplyHeadM", "Pressure of the mains, as metres of water", "length", 0.1, 150, {
        hint: "1 bar is {10.2 m}; with a tap open",
      }),
      numberField("setHeadM", "The regulator is set to, as metres of water", "length", 0.1, 150),
      numberField("regulatorLeastLph", "It regulates from", "flow", 0, 1_000_000),
      numberField("regulatorGreatestLph", "It regulates to", "flow", 0.1, 1_000_000, {
        atLeast: { measure: "regulatorLeastLph", words: "it must not be under the flow it regulates from" },
      }),
      numberField("regulatorLossM", "It takes by itself at that flow, as metres of water", "length", 0, 100),
      ...PIPE,
    ],
  },
});

const RUN = numberField("runMin", "Run", "minutes", 0.05, 1440);

export const TIMER = unionField<TimerProgram>()({
  name: "timer",
  label: "Timer",
  labels: {
    continuous: "day and night",
    every: "every so many minutes",
    times: "at fixed times",
    daylight: "spread over the daylight",
  },
  kinds: {
    continuous: [],
    every: [
      numberField("everyMin", "Every", "minutes", 1, 1440),
      numberField("runMin", "Run", "minutes", 0.05, 1440, {
        atMost: { measure: "everyMin", times: 1, words: "it must not be longer than the time between starts" },
      }),
      numberField("fromMin", "From", "minutes", 0, 1439),
      numberField("toMin", "Until", "minutes", 1, 1440),
    ],
    times: [
      {
        type: "numbers",
        name: "timesMin",
        label: "Times",
        dimension: "minutes",
        least: 0,
        greatest: 1439,
        fewest: 1,
        most: 200,
      },
      RUN,
    ],
    daylight: [
      numberField("runs", "Runs a day", "count", 1, 200, { whole: true }),
      RUN,
      numberField("marginMin", "After sunrise, and before sunset", "minutes", 0, 360),
    ],
  },
});
