import { NUTRIENTS } from "../../feed/nutrients";
import { STOCK_LETTERS } from "../../feed/salts";
import { PIPE_WALLS, type LoopPump } from "../../water/loopPump";
import type { TimerProgram } from "../../water/timer";
import { CHANGE_RULE, STRENGTH } from "./feed";
import { choiceField, entity, numberField, textField, unionField } from "./field";

export const SOURCE = entity({
  table: "source",
  label: "Source",
  right: "plan",
  fields: [
    textField("name", "Name"),
    choiceField("kind", "Kind", ["rain", "well", "mains", "carried"], {
      rain: "rain from a roof",
      mains: "mains or standpipe",
    }),
    numberField("priority", "Order of use", "count", 1, 99, { whole: true, hint: "1 is drawn first" }),
    numberField("pricePerM3", "Price", "pricePerVolume", 0, 10_000, { initial: 0 }),
    numberField("roofAreaM2", "Roof, in plan", "area", 0, 1_000_000, { initial: 0 }),
    numberField("flowLph", "Flow", "flow", 0, 1_000_000, { initial: 0, hint: "with nothing else open; 0: not known" }),
    numberField("hoursPerDay", "Hours a day", "count", 0, 24, { initial: 0 }),
    numberField("allowanceLpd", "Allowance a day", "volume", 0, 10_000_000, { initial: 0 }),
    numberField("pressureM", "Pressure, as metres of water", "length", 0, 150, {
      nullable: true,
      initial: null,
      hint: "1 bar is {10.2 m}",
    }),
    { type: "day", name: "analysedOn", label: "Analysed on", nullable: true, initial: null },
    numberField("ecMsPerCm", "EC", "ec", 0, 20, { nullable: true, initial: null }),
    numberField("ph", "pH", "ph", 3, 11, { nullable: true, initial: null }),
    numberField("alkalinityMgCaco3PerL", "Alkalinity, as CaCO₃", "concentration", 0, 5000, { initial: 0 }),
    {
      type: "switch",
      name: "balanceDoubted",
      label: "Keep the analysis though its ions do not balance",
      initial: false,
    },
    {
      type: "amounts",
      name: "analysisMgPerL",
      label: "Analysis, mg/L",
      of: NUTRIENTS,
      dimension: "concentration",
      greatest: 20_000,
      initial: {},
    },
  ],
});

export const STORE = entity({
  table: "store",
  label: "Store",
  right: "plan",
  fields: [
    textField("name", "Name"),
    numberField("capacityL", "Capacity", "volume", 1, 100_000_000),
    numberField("storedL", "In store now", "volume", 0, 100_000_000, {
      atMost: { measure: "capacityL", times: 1, words: "it must not be more than the capacity" },
    }),
    { type: "day", name: "readOn", label: "Read on" },
  ],
});

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

export const LOOP = entity({
  table: "loop",
  label: "Loop",
  right: "plan",
  placed: true,
  fields: [
    textField("name", "Name"),
    choiceField("kind", "Kind", ["recirculating", "run-to-waste"], { "run-to-waste": "run to waste" }),
    numberField("tankL", "Tank, to the rim", "volume", 1, 1_000_000),
    numberField("normalFillL", "Normal fill level", "volume", 1, 1_000_000, {
      atMost: { measure: "tankL", times: 1, words: "it must not be more than the tank holds" },
    }),
    numberField("drainShare", "Share that drains", "share", 0, 0.89, { initial: 0 }),
    numberField("turns", "Banks run in turns", "count", 1, 50, { whole: true, initial: 1, hint: "1: all at once" }),
    { type: "reference", name: "recipeId", label: "Recipe", to: "recipe", nullable: true },
    { type: "reference", name: "sourceId", label: "Filled from", to: "source", nullable: true },
    choiceField("feeding", "Fed by", ["injector", "stocks", "dry"], {
      injector: "injector with stocks",
      stocks: "stocks by hand",
      dry: "dry salts by hand",
    }),
    numberField("stocks", "Stock tanks", "count", 1, 3, {
      whole: true,
      initial: 2,
      hint: "A and B, and C for what stands alone",
    }),
    numberField("ratioR", "Ratio, 1 to", "ratio", 1, 2000, { initial: 100 }),
    choiceField(
      "ratioConvention",
      "The ratio means",
      ["in", "to"],
      { in: "1 part in so many of outflow", to: "1 part to so many of water" },
      { initial: "in" },
    ),
    numberField("injectorLeastLph", "Injector, minimum flow", "flow", 0, 100_000, { nullable: true }),
    numberField("injectorGreatestLph", "Injector, maximum flow", "flow", 0, 1_000_000, {
      nullable: true,
      atLeast: { measure: "injectorLeastLph", words: "it must not be under its minimum flow" },
    }),
    numberField("injectorLeastR", "Injector, strongest setting, 1 to", "ratio", 1, 2000, {
      nullable: true,
      initial: null,
    }),
    numberField("injectorGreatestR", "Injector, weakest setting, 1 to", "ratio", 1, 2000, {
      nullable: true,
      initial: null,
      atLeast: { measure: "injectorLeastR", words: "it must not be under the strongest setting" },
    }),
    numberField("injectorLeastHeadM", "Injector, minimum pressure, as metres of water", "length", 0, 200, {
      nullable: true,
      initial: null,
      hint: "1 bar is {10.2 m}",
    }),
    numberField("injectorGreatestHeadM", "Injector, maximum pressure, as metres of water", "length", 0, 200, {
      nullable: true,
      initial: null,
      atLeast: { measure: "injectorLeastHeadM", words: "it must not be under its minimum pressure" },
    }),
    numberField("injectorStrokeL", "Water through the injector at each stroke", "volume", 0.0001, 100, {
      nullable: true,
      initial: null,
      hint: "count the clicks over a metered bucket; short runs are dosed by so many strokes",
    }),
    numberField("calibrateEveryDays", "Injector, calibrated every", "days", 1, 1000, { whole: true, initial: 90 }),
    numberField("coldestC", "Coldest place of the stocks", "temperature", -10, 40, { initial: 10 }),
    choiceField(
      "acid",
      "Acid for pH",
      ["citric", "phosphoric", "nitric", "sulfuric"],
      {
        citric: "citric (eaten by microbes within days)",
        phosphoric: "phosphoric 75 % (adds P)",
        nitric: "nitric 38 % (adds N; for trained hands)",
        sulfuric: "sulfuric 35 % (adds S; for trained hands)",
      },
      { initial: "citric" },
    ),
    numberField("acidPercent", "Its strength, percent by mass", "ratio", 1, 100, {
      nullable: true,
      initial: null,
      hint: "none: the usual bottle",
    }),
    numberField("acidDensityKgPerL", "Its density, kg a litre", "ratio", 0.9, 2, {
      nullable: true,
      initial: null,
      hint: "on the label or the safety data sheet",
    }),
    numberField("needFactor", "Drinks, against what is worked out", "ratio", 0.1, 10, {
      initial: 1,
      hint: "learned from the top-ups in the log; 1: as worked out",
    }),
    numberField("readEveryDays", "Read every", "days", 1, 60, { whole: true, initial: 1 }),
    TIMER,
    PUMP,
    CHANGE_RULE,
    STRENGTH,
  ],
});

export const STOCK_TANK = entity({
  table: "stock_tank",
  label: "Stock tank",
  right: "dose",
  unique: ["loopId", "letter"],
  fields: [
    { type: "reference", name: "loopId", label: "Loop", to: "loop", isPart: true },
    choiceField("letter", "Stock", STOCK_LETTERS),
    numberField("volumeL", "Stock tank", "volume", 0.1, 100_000),
    numberField("leftL", "Left in it", "volume", 0, 100_000, {
      atMost: { measure: "volumeL", times: 1, words: "it must not be more than the tank holds" },
    }),
    { type: "day", name: "readOn", label: "Read on" },
  ],
});
