import { NUTRIENTS } from "../../feed/nutrients";
import { STOCK_LETTERS } from "../../feed/salts";
import { CHANGE_RULE, STRENGTH } from "./feed";
import { choiceField, entity, numberField, textField } from "./field";
import { PUMP, TIMER } from "./pump";

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
      dry: "salts or bottles by hand",
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
    {
      type: "switch",
      name: "acidInFeed",
      label: "Its acid goes into the feed water all the time: what it brings counts in the recipe",
      initial: false,
    },
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
