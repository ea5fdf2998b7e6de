import { idOf, type Samples } from "./lib";

const label = { "NO3-N": 3.5, K2O: 11.8 };
const stands = [{ told: "towers", figures: { lines: 1, tiers: 3, plants: 2 }, young: false }];

/** What a first day does: quick answers that are kept, a place that was told, the library and the examples. */
export const FIRST_DAY_SAMPLES: Samples = {
  "place/setup": {
    makeSetup: {
      least: "grower",
      input: async (rows) => ({
        place: { houseId: await idOf(rows, "select id from house where garden_id = 1 order by id limit 1") },
        stands,
        tank: null,
        pump: null,
        timer: { kind: "continuous" },
        system: "metric",
      }),
    },
  },
  "water/keepLoop": {
    keepLoop: {
      least: "grower",
      input: async (rows) => ({
        loopId: await idOf(rows, "select id from loop where garden_id = 1 order by id limit 1"),
        timer: { kind: "every", everyMin: 120, runMin: 15, fromMin: 1320, toMin: 240 },
      }),
    },
  },
  "feed/keepLabelFeed": {
    keepLabelFeed: {
      least: "grower",
      input: async (rows) => ({
        ...{ name: `Feed ${Math.random()}`, share: 0.5, labelEcMsPerCm: 2.6, sure: false, changeWeeks: 1 },
        products: ["A", "B"].map((part) => ({
          ...{ name: `Part ${part} ${Math.random()}`, form: "liquid", densityKgPerL: null, label, isByVolume: true },
          ...{ amount: 4, unit: "mL", per: "L", measureL: null },
        })),
        ramp: { startShare: 0.25, maturityDays: 28 },
        loopId: await idOf(rows, "select id from loop where garden_id = 1 order by id limit 1"),
      }),
    },
  },
  "feed/library": {
    addLibrarySalt: { least: "grower", own: true, input: async () => ({ library: "urea" }) },
    addLibraryRecipe: { least: "grower", own: true, input: async () => ({ library: "Steiner 1961" }) },
    addCommonMeter: { least: "grower", own: true, input: async () => ({ library: "EC pen in CF" }) },
  },
  "growth/library": {
    addLibraryCrop: { least: "grower", own: true, input: async () => ({ library: "Basil" }) },
  },
  "batches/keep": {
    addGrowing: {
      least: "grower",
      input: async (rows) => ({
        varietyId: await idOf(rows, "select id from variety where garden_id = 1 order by id limit 1"),
        plants: 40,
        ageDays: 14,
      }),
    },
    keepSowing: {
      least: "grower",
      input: async (rows) => ({
        crop: { varietyId: await idOf(rows, "select id from variety where garden_id = 1 order by id limit 1") },
        sowDay: "2027-10-04",
        cells: 20,
        targetPlants: 16,
      }),
    },
    keepWeek: {
      least: "grower",
      input: async (rows) => ({
        crop: { varietyId: await idOf(rows, "select id from variety where garden_id = 1 order by id limit 1") },
        weekday: 5,
        quantity: 3,
      }),
    },
  },
  "people/examples": {
    openExample: { least: "viewer", own: true, ends: true, input: async () => ({ example: "Sill" }) },
    copyExample: { least: "grower", own: true, input: async () => ({ example: "Sill" }) },
    leaveExample: { least: "keeper", own: true, ends: true, input: async () => ({}) },
    keepExample: { least: "keeper", own: true, input: async () => ({}) },
  },
};
