import { NUTRIENTS } from "../../feed/nutrients";
import { AIMS } from "../../feed/recipeWish";
import type { LoopChangeRule } from "../../feed/changeRule";
import type { StrengthSchool } from "../../feed/strengthSchool";
import { METER_SCALES } from "../../feed/meters";
import { SALT_FORMS, STOCK_PLACES } from "../../feed/salts";
import { choiceField, entity, numberField, textField, unionField } from "./field";

export const SALT = entity({
  table: "salt",
  label: "Salt",
  right: "plan",
  unique: ["name"],
  fields: [
    textField("name", "Name"),
    numberField("onHandG", "On hand", "mass", 0, 100_000_000, { initial: 0, hint: "g or kg" }),
    numberField("pricePerKg", "Price", "pricePerMass", 0, 100_000, { initial: 0 }),
    numberField("leadDays", "Comes after it was ordered by", "days", 0, 365, { whole: true, initial: 14 }),
    choiceField("form", "It is a", SALT_FORMS, { solid: "powder or crystals", liquid: "liquid" }, { initial: "solid" }),
    numberField("densityKgPerL", "Weighs, kg a litre", "ratio", 0.05, 20, {
      nullable: true,
      initial: null,
      hint: "a liquid’s density; of a powder, heaped as a spoon takes it",
    }),
    { type: "note", name: "caution", label: "Caution", initial: "" },
    {
      type: "amounts",
      name: "percent",
      label: "Content, percent by mass",
      of: NUTRIENTS,
      dimension: "ratio",
      greatest: 100,
    },
    {
      type: "numbers",
      name: "solubilityGPerL",
      column: "solubility_g_per_l",
      label: "Dissolves in a litre of stock, g",
      hint: "at {0 °C}, {10 °C}, {20 °C} and {30 °C}",
      dimension: "ratio",
      least: 0.001,
      greatest: 10_000,
      fewest: 4,
      most: 4,
      nullable: true,
      initial: null,
    },
    { type: "switch", name: "chelate", label: "Chelate", initial: false },
    { type: "switch", name: "alone", label: "Stands alone in a stock", initial: false },
  ],
});

/** A bag or can of a salt: which one a stock was mixed from. */
export const SALT_LOT = entity({
  table: "salt_lot",
  label: "Lot of a salt",
  right: "plan",
  unique: ["saltId", "name"],
  fields: [
    { type: "reference", name: "saltId", label: "Salt", to: "salt", isPart: true },
    textField("name", "Lot"),
    { type: "day", name: "receivedOn", label: "Came on" },
    { type: "day", name: "openedOn", label: "Opened on", nullable: true, initial: null },
    { type: "day", name: "usedUpOn", label: "Used up on", nullable: true, initial: null },
  ],
  order: [
    { least: "receivedOn", greatest: "openedOn", words: "A lot is opened after it came" },
    { least: "openedOn", greatest: "usedUpOn", words: "A lot is used up after it was opened" },
  ],
});

export const RECIPE = entity({
  table: "recipe",
  label: "Recipe",
  right: "plan",
  fields: [
    textField("name", "Name"),
    numberField("ecMsPerCm", "EC wanted", "ec", 0.1, 8),
    numberField("ecLow", "EC band from", "ec", 0.05, 8, {
      atMost: { measure: "ecMsPerCm", times: 1, words: "it must not be over the EC wanted" },
    }),
    numberField("ecHigh", "EC band to", "ec", 0.1, 10, {
      atLeast: { measure: "ecMsPerCm", words: "it must not be under the EC wanted" },
    }),
    numberField("phLow", "pH from", "ph", 3, 10),
    numberField("phHigh", "pH to", "ph", 3, 10, {
      atLeast: { measure: "phLow", words: "it must not be under pH from" },
    }),
    {
      type: "amounts",
      name: "targetsMgPerL",
      label: "Targets, mg/L of the element",
      of: AIMS,
      dimension: "concentration",
      greatest: 2000,
    },
    {
      type: "amounts",
      name: "leastMgPerL",
      label: "At least, mg/L",
      of: AIMS,
      dimension: "concentration",
      greatest: 2000,
      initial: {},
    },
    {
      type: "amounts",
      name: "greatestMgPerL",
      label: "At most in the ready feed, mg/L",
      of: AIMS,
      dimension: "concentration",
      greatest: 2000,
      initial: { Mn: 1.5, Zn: 0.6, Cu: 0.2, B: 0.7 },
    },
    {
      type: "switch",
      name: "balanceDoubted",
      label: "Keep the targets though their charges do not balance",
      initial: false,
    },
    {
      type: "switch",
      name: "byLabel",
      label: "Fed by the labels of bought products, without targets",
      initial: false,
    },
    numberField("labelEcMsPerCm", "The label’s whole dose adds EC", "ec", 0.05, 10, {
      nullable: true,
      initial: null,
      hint: "by the pack, or by a trial in a bucket of pure water; none: worked out from what the labels print",
    }),
    numberField("ammoniumShareMost", "Ammonium, of all nitrogen, at most", "share", 0, 1, { initial: 0.15 }),
  ],
});

/** A salt of a recipe, and the stock that it goes into. */
export const RECIPE_SALT = entity({
  table: "recipe_salt",
  label: "Salt of a recipe",
  right: "plan",
  unique: ["recipeId", "saltId"],
  fields: [
    { type: "reference", name: "recipeId", label: "Recipe", to: "recipe", isPart: true },
    { type: "reference", name: "saltId", label: "Salt", to: "salt" },
    choiceField("stock", "Stock", STOCK_PLACES, { "A+B": "half in A, half in B" }),
    numberField("gPer1000L", "In 1000 L of the recipe as written, g", "ratio", 0, 1_000_000, {
      column: "g_per_1000l",
      nullable: true,
      initial: null,
    }),
  ],
});

/** What tanks are read with. */
export const METER = entity({
  table: "meter",
  label: "Meter",
  right: "plan",
  unique: ["name"],
  fields: [
    textField("name", "Name"),
    choiceField("ecScale", "Shows strength in", METER_SCALES, { ppm500: "ppm ×500", ppm700: "ppm ×700" }),
    {
      type: "switch",
      name: "compensated",
      label: "Corrects to {25 °C} by itself",
      initial: true,
    },
  ],
});

/** How the solution of a recirculating tank is kept or changed. */
export const CHANGE_RULE = unionField<LoopChangeRule>()({
  name: "changeRule",
  label: "The solution is",
  initial: { kind: "never" },
  labels: {
    never: "kept: topped up only",
    weeks: "changed every so many weeks",
    "topped-up": "changed when so much has been topped up",
    limits: "changed when sodium or chloride passes a limit",
  },
  kinds: {
    never: [],
    weeks: [numberField("weeks", "Weeks", "count", 1, 52, { whole: true })],
    "topped-up": [numberField("tanks", "Tanks of water topped up", "ratio", 0.1, 50)],
    limits: [
      numberField("sodiumMgPerL", "Sodium", "concentration", 1, 5000),
      numberField("chlorideMgPerL", "Chloride", "concentration", 1, 5000),
    ],
  },
});

/** By which school the strength of a loop's feed follows age and season. */
export const STRENGTH = unionField<StrengthSchool>()({
  name: "strength",
  label: "The feed is",
  initial: { kind: "constant" },
  labels: {
    constant: "always as strong as the recipe",
    age: "weak for seedlings, stronger with age",
    season: "weaker in bright months, stronger in dark ones",
    bands: "what suits most of the crops that share the tank",
  },
  kinds: {
    constant: [],
    age: [
      numberField("ecAtStart", "EC for seedlings", "ec", 0.05, 10),
      numberField("ecAtMaturity", "EC for grown plants", "ec", 0.05, 10),
      numberField("maturityDays", "Grown after", "days", 1, 400),
    ],
    season: [
      numberField("ecBright", "EC on the brightest days", "ec", 0.05, 10),
      numberField("ecDark", "EC on the darkest days", "ec", 0.05, 10),
    ],
    bands: [],
  },
});
