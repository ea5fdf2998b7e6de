import { NUTRIENTS } from "../../feed/nutrients";
import { CROP_KINDS } from "../../growth/cropKind";
import type { HarvestPattern } from "../../growth/harvestPattern";
import { NOT_MODELLED } from "../../growth/notModelled";
import { STEP_KINDS, type StepDue } from "../../growth/steps";
import { STAND_KINDS } from "../../place/kinds";
import { choiceField, entity, numberField, textField, unionField } from "./field";

export const HARVEST_UNIT = entity({
  table: "harvest_unit",
  label: "Unit",
  right: "plan",
  unique: ["name"],
  fields: [
    textField("name", "Unit", { most: 30 }),
    { type: "switch", name: "divisible", label: "Can be given in parts, like 0.9 kg" },
  ],
});

const UNITS_PER_PLANT = numberField("unitsPerPlant", "Yield of a plant (first cut)", "ratio", 0.0001, 1000);
const KEEPS_DAYS = numberField("keepsDays", "Keeps once ready, days", "count", 0, 120, {
  whole: true,
  hint: "on the plant or in the cold, past ready",
});

const PATTERN = unionField<HarvestPattern>()({
  name: "pattern",
  label: "Harvested",
  labels: { once: "once", cut: "cut and come again", picking: "picked week by week" },
  kinds: {
    once: [UNITS_PER_PLANT, KEEPS_DAYS],
    cut: [
      UNITS_PER_PLANT,
      numberField("cuts", "Cuts", "count", 1, 50, { whole: true }),
      numberField("daysBetween", "Days between cuts", "count", 1, 120, { whole: true }),
      numberField("factor", "Each cut compared with the one before", "share", 0, 2),
      KEEPS_DAYS,
    ],
    picking: [
      numberField("unitsPerPlantWeek", "Yield of a plant in a week", "ratio", 0.0001, 1000),
      numberField("weeks", "Picking weeks", "count", 1, 80, { whole: true }),
      KEEPS_DAYS,
    ],
  },
});

/** What a tray sown by weight gives. */
export interface TrayFacts {
  readonly kind: "weight";
  readonly seedGPerTray: number;
  /** Fresh mass for dry seed. */
  readonly yieldRatio: number;
  /** Germination at which the ratio was taken. */
  readonly germinationOfRatio: number;
  readonly blackoutDays: number;
  readonly lightDays: number;
}

export const TRAY = unionField<TrayFacts>()({
  name: "tray",
  label: "Trays sown by weight",
  labels: { weight: "sown by weight" },
  nullable: true,
  initial: null,
  kinds: {
    weight: [
      numberField("seedGPerTray", "Seed on a tray", "mass", 0.1, 20_000),
      numberField("yieldRatio", "Fresh for dry seed", "ratio", 0.1, 50, { hint: "grams cut for each gram sown" }),
      numberField("germinationOfRatio", "Germination that the ratio was taken at", "share", 0.01, 1),
      numberField("blackoutDays", "Days in the dark", "days", 0, 30),
      numberField("lightDays", "Days in the light", "days", 0, 60),
    ],
  },
});

const optional = { nullable: true, initial: null } as const;
const band = (measure: string, words: string) => ({ ...optional, atLeast: { measure, words } }) as const;

export const VARIETY = entity({
  table: "variety",
  label: "Variety",
  right: "plan",
  unique: ["name"],
  fields: [
    textField("name", "Name"),
    textField("crop", "Crop"),
    { type: "note", name: "family", label: "Family", most: 80, initial: "" },
    choiceField("kind", "Kind", CROP_KINDS),
    { type: "reference", name: "unitId", label: "Sold by", to: "harvest_unit" },
    numberField("pricePerUnit", "Price of a unit", "money", 0, 100_000, optional),
    numberField("eatenPerWeek", "Eaten at home a week", "count", 0.01, 10_000, {
      ...optional,
      hint: "in the unit it is sold by; the season is planned for it as for an order",
    }),
    {
      type: "switch",
      name: "foodSafetySensitive",
      label: "Food-safety sensitive: eaten raw, like shoots",
      initial: false,
    },
    numberField("germination", "Germination", "share", 0.01, 1),
    numberField("seedsPerCell", "Seeds per cell", "count", 1, 10_000, {
      whole: true,
      initial: 1,
      atLeast: { measure: "thinTo", words: "a cell cannot be thinned to more plants than it has seeds" },
    }),
    numberField("thinTo", "Thin to, plants a cell", "count", 1, 1000, { ...optional, whole: true }),
    { type: "switch", name: "pelleted", label: "Pelleted seed", initial: false },
    numberField("seedsPerG", "Seeds per gram", "ratio", 0.01, 100_000, { initial: 100 }),
    numberField("seedPricePerG", "Price of a gram of seed", "money", 0, 10_000, optional),
    numberField("depthM", "Sowing depth", "smallLength", 0, 0.3, optional),
    choiceField(
      "germinatesIn",
      "Germinates in",
      ["either", "light", "dark"],
      { either: "light or dark" },
      { initial: "either" },
    ),
    numberField("soakH", "Soak first, hours", "count", 0, 72, { initial: 0 }),
    numberField("seedLeadDays", "Seed comes within, days", "count", 0, 365, {
      whole: true,
      initial: 7,
      hint: "from ordering to having it",
    }),
    PATTERN,
    TRAY,
    { type: "choices", name: "suits", label: "Suits", options: STAND_KINDS, initial: [] },
    { type: "choices", name: "suitsNot", label: "Does not suit", options: STAND_KINDS, initial: [] },
    numberField("ecLow", "EC from", "ec", 0.05, 10, optional),
    numberField("ecHigh", "EC to", "ec", 0.05, 10, band("ecLow", "it must not be under EC from")),
    numberField("phLow", "pH from", "ph", 3, 10, optional),
    numberField("phHigh", "pH to", "ph", 3, 10, band("phLow", "it must not be under pH from")),
    numberField("solutionLowC", "Water in the roots from", "temperature", 0, 45, optional),
    numberField(
      "solutionHighC",
      "Water in the roots to",
      "temperature",
      0,
      45,
      band("solutionLowC", "it must not be under the lower temperature"),
    ),
    numberField("airBaseC", "Air: growth begins at", "temperature", -10, 30, optional),
    numberField(
      "airOptimumC",
      "Air: best at",
      "temperature",
      -10,
      45,
      band("airBaseC", "it must not be under where growth begins"),
    ),
    numberField(
      "airCeilingC",
      "Air: growth ends at",
      "temperature",
      -10,
      60,
      band("airOptimumC", "it must not be under the best"),
    ),
    numberField("lightMolPerM2Day", "Light wanted, mol/m² a day", "ratio", 0, 100, optional),
    choiceField(
      "clock",
      "Its days go by",
      ["calendar", "start", "warmth"],
      {
        calendar: "the table of months, day by day",
        start: "the table of months, read once at the start",
        warmth: "warmth and light of its place",
      },
      { initial: "calendar" },
    ),
    numberField("halfLightMol", "Light that does half of what light can, mol/m² a day", "ratio", 0.1, 100, {
      ...optional,
      hint: "empty: half of the light wanted",
    }),
    {
      type: "switch",
      name: "learns",
      label: "Learn from my own batches how long it takes",
      initial: true,
    },
    numberField("upWithinDays", "Must be up within, days from sowing", "count", 1, 90, {
      ...optional,
      whole: true,
      hint: "the round warns when no seedlings were counted by then",
    }),
    {
      type: "choices",
      name: "notModelled",
      column: "not_modelled",
      label: "What its days leave out",
      options: NOT_MODELLED,
      labels: {
        bolting: "bolts in heat or long days",
        chilling: "harmed by chill over freezing",
        "cold-to-flower": "flowers after cold",
        "day-length": "flowers or bulbs by day length",
      },
      initial: [],
    },
  ],
});

/** A stage of a variety: where it is spent, how long, and what a plant takes. */
export const VARIETY_STAGE = entity({
  table: "variety_stage",
  label: "Stage",
  right: "plan",
  unique: ["varietyId", "position"],
  fields: [
    { type: "reference", name: "varietyId", label: "Variety", to: "variety", isPart: true },
    numberField("position", "Stage, counted from 0", "count", 0, 9, { whole: true }),
    textField("name", "Stage", { most: 40 }),
    { type: "reference", name: "growingAreaId", label: "Growing area", to: "growing_area" },
    {
      type: "numbers",
      name: "daysByMonth",
      label: "Days, by the month they fall in",
      dimension: "days",
      least: 0.5,
      greatest: 400,
      fewest: 12,
      most: 12,
    },
    numberField("referenceDays", "Days at its best: warm and bright", "days", 0.5, 400, {
      ...optional,
      hint: "by warmth and light only; empty: the fewest days of the months",
    }),
    { type: "switch", name: "usesLight", label: "Waits for light; off for seed in the dark", initial: true },
    numberField("survival", "Share that survive", "share", 0.01, 1),
    numberField("needLpd", "Drinks a day", "volume", 0, 200),
    choiceField(
      "needFrom",
      "What it drinks is",
      ["climate", "figure"],
      { climate: "worked out from the climate, where it is told", figure: "the figure above, whatever the weather" },
      { initial: "climate" },
    ),
    numberField("kc", "Crop coefficient (Kc)", "ratio", 0.05, 2, optional),
    numberField("areaPerPlantM2", "Ground of a plant", "area", 0.0001, 10, optional),
    {
      type: "amounts",
      name: "uptakeMgPerL",
      label: "Takes up, mg for each litre drunk; empty is as fed",
      of: NUTRIENTS,
      dimension: "concentration",
      greatest: 20_000,
      initial: {},
    },
  ],
});

/** Seed that came together. */
export const SEED_LOT = entity({
  table: "seed_lot",
  label: "Lot of seed",
  right: "plan",
  unique: ["varietyId", "name"],
  fields: [
    { type: "reference", name: "varietyId", label: "Variety", to: "variety", isPart: true },
    textField("name", "Lot, as on the packet", { most: 80 }),
    { type: "day", name: "receivedOn", label: "Came on" },
    numberField("onHandG", "On hand", "mass", 0, 1_000_000),
    numberField("germination", "Tested germination", "share", 0.01, 1, optional),
    { type: "day", name: "testedOn", label: "Tested on", ...optional },
    { type: "day", name: "bestBefore", label: "Best before", ...optional },
  ],
});

/** A step of raising a plant. */
export const VARIETY_STEP = entity({
  table: "variety_step",
  label: "Step",
  right: "plan",
  unique: ["varietyId", "position"],
  fields: [
    { type: "reference", name: "varietyId", label: "Variety", to: "variety", isPart: true },
    numberField("position", "Step, counted from 0", "count", 0, 29, { whole: true }),
    choiceField("kind", "Step", STEP_KINDS, {
      cover: "cover, or into the dark",
      light: "light on",
      "first-feed": "first feed",
      "pot-up": "pot up",
      space: "wider spacing",
      harden: "harden off",
    }),
    numberField("stageNumber", "In stage number", "count", 1, 10, { whole: true }),
    unionField<StepDue>()({
      name: "due",
      label: "Due",
      labels: { days: "so many days after the stage began", share: "when a share of the stage is past" },
      kinds: {
        days: [numberField("days", "Days", "count", 0, 200)],
        share: [numberField("share", "Share of the stage", "share", 0, 1)],
      },
    }),
    { type: "note", name: "note", label: "Note", most: 200, initial: "" },
  ],
});
