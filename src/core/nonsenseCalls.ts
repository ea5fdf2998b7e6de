import { areaPlaces } from "./batches/places/areaPlaces";
import { Lots } from "./batches/lots";
import { workOutPlan } from "./batches/plan";
import type { PlanInput } from "./batches/types";
import { feedSheet, type FeedSheetInput } from "./feed/feedSheet";
import { STAND_MODELS } from "./place/kinds";
import type { LayoutDocument } from "./place/layout/document";
import { METRIC } from "./units/dimensions";
import { bedCoverage } from "./water/bedCoverage";
import { dripLine } from "./water/dripLine";

/** A call that works, to put nonsense into one number after the other. */
export interface Call {
  readonly args: readonly unknown[];
  /** Numbers that mean what they say, whatever they are: `1.reachM`. */
  readonly but?: readonly string[];
}

const tapWater = {
  ecMsPerCm: 0.45,
  ph: 7.6,
  alkalinityMgCaco3PerL: 120,
  analysisMgPerL: { Ca: 48, Mg: 7, Na: 24, Cl: 38, S: 12 },
};
const day = 20_000;
const days = new Array<number>(12).fill(10);
const spec = STAND_MODELS["channel-bank"].example;
const rect = { xM: 1, yM: 1, lengthM: 3, widthM: 2 };
const house = { lengthM: 12, widthM: 6 };
const stand = { id: 1, name: "Bank", xM: 1, yM: 1, turned: false, spec };
const layout: LayoutDocument = {
  format: "seed-round-layout",
  version: 2,
  name: "Plan",
  houses: [{ name: "Net", lengthM: 12, widthM: 6, heightM: 3, cover: "net", shadeShare: 0.3, xM: 0, yM: 0 }],
  growingAreas: [{ name: "Bank", cleaningDays: 1 }],
  stands: [{ name: "Bank", house: "Net", growingArea: "Bank", loop: null, xM: 1, yM: 1, turned: false, spec }],
};
const rules = { clearanceM: 0.3, crossAisleM: 0.9, aisleInsisted: false };
const once = { kind: "once", unitsPerPlant: 1, keepsDays: 4 } as const;
const variety = {
  id: 1,
  name: "lettuce",
  kind: "leaf",
  unit: { id: 1, name: "heads", divisible: false },
  foodSafetySensitive: false,
  germination: 0.9,
  seedsPerCell: 1,
  pattern: once,
  stages: [{ name: "grow", growingAreaId: 1, daysByMonth: days, survival: 0.9, needLpd: 0.1 }],
} as const;
const batch = {
  id: 1,
  varietyId: 1,
  sowDay: day,
  cells: 12,
  targetPlants: 9,
  begun: [{ position: 0, day, plants: 12 }],
  clearedDay: day + 20,
};
const order = { id: 1, customerName: "Stall", varietyId: 1, weekday: 4, quantity: 3, from: day, to: day + 40 };
const area = {
  id: 1,
  name: "Bank",
  sites: 40,
  cleaningDays: 1,
  sitesPerLine: [20, 20],
  loops: [{ loopId: 1, share: 1 }],
};
const planInput: PlanInput = {
  today: day,
  from: day,
  to: day + 60,
  growingAreas: [area],
  varieties: [variety],
  batches: [batch],
  orders: [order],
  drainShareByLoop: { 1: 0.1 },
};
/** What another function of the core made is sound: it is handed over as it is, and not taken apart. */
class Made {
  static of<Value extends object>(value: Value): Value {
    return Object.assign(Object.create(Made.prototype as object) as object, value) as Value;
  }
}
const plan = Made.of(workOutPlan(planInput));
const stays = plan.batches.flatMap((worked) => worked.stays);
const lots = new Lots();
lots.add(1, day, day + 4, 12);
const placed = areaPlaces(area, stays, { today: day });
const salt = {
  id: 1,
  name: "potassium nitrate",
  percent: { "NO3-N": 13.85, K: 38.67 },
  solubilityGPerL: [127, 194, 279, 380],
  stock: "B",
} as const;
const thermal = {
  ...{ referenceDays: 20, baseC: 4, optimumC: 20, maxC: 30, halfLightMol: 8, referenceDliMol: 15, usesLight: true },
};
const trayOf = { seedGPerTray: 120, yieldRatio: 3.2, germination: 0.9, germinationOfRatio: 0.95 } as const;
const bottle = {
  ...{ name: "part A", form: "liquid", densityKgPerL: 1.2, label: { N: 4, K2O: 6 }, isByVolume: true },
  ...{ amount: 4, unit: "cap", per: "L", measureL: 0.01 },
};
const recipeSalt = { ...salt, pricePerKg: 1.9, onHandG: 5000, gPer1000L: 300 };
const wish = {
  targetsMgPerL: { N: 100, K: 250 },
  leastMgPerL: { K: 100 },
  greatestMgPerL: { Cl: 70 },
  ammoniumShareMost: 0.15,
  waterMgPerL: { Ca: 20 },
  salts: [{ percent: salt.percent, pricePerKg: 1.9 }],
};
const feedInput: FeedSheetInput = {
  wish: { targetsMgPerL: { "NO3-N": 100, K: 250 }, waterMgPerL: { Ca: 20 } },
  ecMsPerCm: 1.5,
  salts: [recipeSalt],
  waterAlkalinityMgCaco3PerL: 40,
  ratioR: 100,
  convention: "in",
  stocks: [{ letter: "B", volumeL: 50, leftL: 20 }],
  coldestC: 8,
  feedLpd: 100,
};
const feed = Made.of(feedSheet(feedInput));
const ions = { K: 8, NO3: 8 };
const reading = { ecMsPerCm: 1.2, ph: 6.8, waterC: 20, levelL: 500 };
const ecWish = { name: "lettuce", plants: 90, ecLow: 1, ecHigh: 1.8, phLow: 5.6, phHigh: 6.4 };
const bands = { ecLow: 1.3, ecHigh: 1.7, ecTarget: 1.5, phLow: 5.5, phHigh: 6.5 };
const slip = {
  recipe: { feed, salts: [salt], bands },
  feeding: "stocks",
  reading,
  before: { ecMsPerCm: 1.3, levelL: 550 },
  normalFillL: 600,
  greatestL: 650,
  acid: "phosphoric",
  weakerSourceId: null,
};
const tank = { ph: 6.8, carbonateAlkalinityMeqPerL: 1, phosphorusMmolPerL: 1, ammoniumMmolPerL: 0.5 };
const pipe = { lengthM: 14, boreMm: 33.2, fittingsK: 6, roughnessMm: 0.0015, kinematicViscosityM2PerS: 1e-6 };
const rhythm = { everyDays: 7, cleaningDays: 2, survival: 0.9 };
const crop = {
  harvestPerWeek: 60,
  everyDays: 7,
  stages: [{ area: "bed", days: 30, survival: 0.98, cleaningDays: 2 }],
};
const thrice = { kind: "times", timesMin: [480, 780, 1020], runMin: 12 } as const;
const sown = {
  germination: 0.9,
  seedsPerCell: 2,
  thinTo: 1,
  stages: [
    { days: [4, 6], survival: 1 },
    { days: [22, 44], survival: 0.96 },
  ],
};
const label = { kind: "label", flowAtNoLiftLph: 800, greatestLiftM: 1.8 } as const;
const dose = { amount: 2, unit: "scoop", per: "L", form: "solid", densityGPerML: 1.1, measureML: 8 } as const;
const dosed = { label: { "NO3-N": 13.85, K: 38.67 }, gPerL: 1 };
const points = [
  { flowLph: 0, headM: 4 },
  { flowLph: 2000, headM: 1 },
];
const source = { id: 1, name: "Well", kind: "rain", priority: 1, limitLpd: 900, roofAreaM2: 40, pricePerM3: 1 };
const rain = { rainMmByMonth: days, wetDaysByMonth: days };
const normals = {
  ...{ latitudeDeg: 40, elevationM: 20, nearSea: true },
  highestCByMonth: [14, 15, 18, 20, 24, 28, 31, 31, 27, 22, 18, 15],
  lowestCByMonth: [5, 6, 8, 10, 13, 16, 18, 18, 16, 12, 9, 6],
  humidityByMonth: [0.8, 0.8, 0.7, 0.7, 0.7, 0.6, 0.6, 0.6, 0.7, 0.7, 0.8, 0.8],
  windMPerSByMonth: [3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3, 3],
};
const measured = { highestC: 26, lowestC: 14, humidity: 0.6, windMPerS: 2, radiationMjPerM2: 22 };
const houseAir = {
  ...{ cover: "film", lightThrough: 0.8, shadeShare: 0.2, warmerByDayC: 4, warmerByNightC: 1 },
  ...{ heatedToC: 8, ventedAtC: 28 },
};
const outsideDay = {
  ...{ highestC: 26, lowestC: 14, vapourPressureKpa: 1.5, humidity: 0.6, windAt2MMPerS: 2 },
  ...{ radiationMjPerM2Day: 22, clearSkyMjPerM2Day: 30, daylightHours: 14 },
};
const raft = { lengthM: 1.2, widthM: 0.6, edgeMarginM: 0.1, pitchM: 0.2, packing: "hexagonal" };
const bar = { lengthMm: 6000, price: 10, onHand: 2 };
const cutProblem = { sawCutMm: 3, trimMm: 5, objective: "bars", pieces: [{ lengthMm: 900, count: 0 }], bars: [bar] };
const demand = { orderId: 1, customerName: "Stall", varietyId: 1, day: day + 1, wanted: 3 };
const solved = () => ({ kind: "none" }) as const;
const found = () => ({ kind: "solved", optimal: true, objective: 0, values: {}, duals: {} }) as const;

/** Functions that take any finite number: they write it or convert it. */
export const ANY_FINITE: ReadonlySet<string> = new Set([
  "units/format#formatIn",
  "units/format#formatNumber",
  "units/format#percentText",
  "units/format#formatQuantity",
  "units/format#quantityText",
]);

/** A working call for every function that other rooms and floors may call. */
const emitter = { nominalFlowLph: 2, nominalHeadM: 10, exponent: 0.5, leastHeadM: null };
const line = {
  pipe: { boreMm: 13.6 },
  emitter,
  spacingM: 0.3,
  firstSpacingM: 0.3,
  slopeRise: 0,
  equivalentLengthM: 0.1,
};

const stillWater = {
  needLpd: 30,
  openWaterM2: 0.9,
  evaporationMmPerDay: 4,
  waterAreaM2: 7.2,
  depthM: 0.12,
  leastDepthM: 0.06,
  floatRatedLph: 60,
  floatRatedHeadM: 10,
  headAtFloatM: 2.5,
  peakHourShare: 0.13,
};
const regulator = { lossM: 2, atLph: 1000, setHeadM: 10, leastLph: 100, greatestLph: 1500 };
const run = { lengthM: 6, boreMm: 21.2, fittingsK: 2 };
const network = {
  surfaceM: 0.5,
  pump: {
    kind: "table",
    points: [
      { flowLph: 0, headM: 30 },
      { flowLph: 900, headM: 20 },
    ],
  },
  before: [],
  main: [run],
  banks: [
    {
      atMain: 0,
      open: true,
      elevationM: 0.3,
      connection: run,
      manifold: { pipe: { boreMm: 28 }, firstOfftakeM: 0.6, offtakeSpacingM: 1.2, offtakes: 2 },
      lateral: {
        ...{ pipe: { boreMm: 13.6 }, count: 10, spacingM: 0.3 },
        ...{ firstSpacingM: 0.3, slopeRise: 0, equivalentLengthM: 0.1 },
      },
      outlet: { nominalFlowLph: 2, nominalHeadM: 10, exponent: 0.5, leastHeadM: null },
    },
  ],
  bypass: null,
} as const;

const ra = { extraterrestrialMjPerM2Day: 40 };
const sun = { ...ra, daylightHours: 14.8 };
const inside = {
  highestC: 30,
  lowestC: 15,
  vapourPressureKpa: 1.6,
  elevationM: 100,
  radiationMjPerM2Day: 24,
  longwaveOpenness: 0.5,
};
const bedPlan = {
  bedLengthM: 3,
  plants: [{ xM: 0.4, yM: 0.1 }],
  lines: [{ yM: 0, firstXM: 0.15, spacingM: 0.3, count: 9 }],
  emitterFlowLph: 1.6,
  wettedRadiusM: 0.25,
  leastDistanceM: 0.06,
};
const bedShares = bedCoverage(bedPlan);

export const CALLS: Readonly<Record<string, Call>> = {
  "batches/allocate#demandsOf": { args: [[order], day, day + 60] },
  "batches/allocate#serve": { args: [demand, Made.of(lots), [0]], but: ["0"] },
  "batches/allocate#serveAll": { args: [[demand], Made.of(lots)] },
  "batches/cellsFor#cellsFor": { args: [variety, 10, 0.9] },
  "batches/deliveryStates#deliveryStates": { args: [plan, new Set([placed]), [{ orderId: 1, day, units: 3 }]] },
  "batches/places/siteRuns#linesTouched": { args: [[20, 20], [{ start: 0, end: 12 }]] },
  "batches/places/areaPlaces#areaPlaces": {
    args: [area, stays, { today: day }],
    but: ["0.stage", "stage", "0.plannedEnd"],
  },
  "batches/places/placeStays#placeStays": {
    args: [
      {
        lines: [{ id: "1", sites: 24 }],
        cleaningDays: 1,
        stays: [{ id: "1/0", plants: 12, from: day, to: day + 20 }],
      },
    ],
  },
  "batches/places/freeSites#freeSites": {
    args: [area, [], day],
    but: ["0.sitesPerLine.0", "0.sitesPerLine.1", "0.loops.0.share"],
  },
  "batches/littlesLaw#batchesAtOnce": { args: [32, { everyDays: 7, cleaningDays: 1 }] },
  "batches/littlesLaw#harvestFromSites": { args: [480, 5, rhythm] },
  "batches/littlesLaw#sitesForHarvest": { args: [100, 5, rhythm] },
  "batches/littlesLaw#weeksForHarvest": { args: [75, 400, rhythm] },
  "batches/occupancy#occupancy": {
    args: [[area], stays, day, day + 60],
    but: ["0.sitesPerLine.0", "0.sitesPerLine.1", "0.loops.0.share", "0.stage", "0.plannedEnd"],
  },
  "batches/plan#workOutPlan": { args: [planInput] },
  "batches/shortages#saltUse": {
    args: [plan, [{ id: 1, name: "salt", onHandG: 100, leadDays: 10, gPerLByLoop: new Map() }]],
  },
  "batches/stageChain#restOfArea": { args: ["bed", 500, crop, { everyDays: 14, stages: crop.stages }] },
  "batches/stageChain#sharedAreas": { args: [{ bed: 430 }, [crop]] },
  "batches/stageChain#stageChain": { args: [crop] },
  "batches/unfitting#unfitting": {
    args: [planInput, [{ varietyId: 1, sowDay: day + 5, readyDay: day + 60, cells: 12, targetPlants: 9 }]],
  },
  "batches/timeline#plantsByStage": { args: [{ cells: 12, targetPlants: 9 }, variety] },
  "batches/timeline#varietyClocks": { args: [variety, day, day + 60] },
  "batches/whatIfMove#mendingSowDay": { args: [planInput, plan, 1, day] },
  "batches/whatIfMove#whatIfMove": { args: [planInput, plan, 1, day] },
  "feed/acidSteps#acidSteps": { args: [7, 500, Made.of(slip)] },
  "feed/bringBack#bringBack": {
    args: [
      {
        recipe: ions,
        water: { K: 0.1, Cl: 0.1 },
        volumeL: 500,
        headspaceL: 100,
        ecMsPerCm: 0.8,
        targetEcMsPerCm: 1,
        stockFactor: 100,
        wantedVolumeL: 560,
      },
    ],
  },
  "feed/doseSlip#doseSlip": {
    args: [slip],
    but: [
      "recipe.salts.0.percent.NO3-N",
      "recipe.salts.0.percent.K",
      "recipe.salts.0.solubilityGPerL.0",
      "recipe.salts.0.solubilityGPerL.3",
    ],
  },
  "feed/ec#ecNearLast": { args: [ions] },
  "feed/ec#ecOfIons": { args: [ions] },
  "feed/feedSheet#feedSheet": { args: [feedInput], but: ["salts.0.onHandG"] },
  "water/injector#injectorVerdict": { args: [500, 20, 2500] },
  "water/injector#pressureVerdict": { args: [12, 3, 60] },
  "feed/calibration#calibrate": {
    args: [{ wantedR: 100, setR: 91, convention: "in", stockDrawnL: 0.496, meteredL: 50, meter: "after" }],
  },
  "feed/stockStrength#stockStrength": { args: [{ beforeL: 5, madeL: 45, usedL: 20, leftL: 28 }] },
  "feed/sharedEc#sharedEc": { args: [[ecWish]] },
  "feed/sharedEc#outsideAt": { args: [[ecWish], 1.4] },
  "feed/sharedEc#shouldNotShare": { args: [[ecWish]] },
  "feed/strengthSchool#usualSchool": { args: ["age", 1.6] },
  "feed/strengthSchool#ecBySeason": { args: [1.4, 1.8, 0.5] },
  "feed/strengthSchool#schoolEc": {
    args: [
      { kind: "season", ecBright: 1.4, ecDark: 1.8 },
      { ecMsPerCm: 1.5, ecLow: 1.3, ecHigh: 1.7, aged: [], wishes: [], lightShare: 0.5 },
    ],
  },
  "feed/acidForWater#acidForWater": {
    args: [
      {
        ...{ alkalinityMgCaco3PerL: 150, ph: 7.5, targetPh: 6, leaveMeqPerL: 1 },
        ...{ acid: "nitric", massPercent: 38, densityGPerMl: 1.234 },
      },
    ],
  },
  "feed/acidForWater#acidsWithin": { args: [3, ["nitric", "citric"], { "NO3-N": 14 }, 5.8], but: ["NO3-N"] },
  "feed/phDose#equivalentsPerMole": { args: ["phosphoric", 6] },
  "feed/phDose#isForKeepers": { args: ["nitric", 60] },
  "feed/learnedResponse#learnedResponse": { args: [[{ amount: 40, volumeL: 100, phBefore: 6.5, phAfter: 6.1 }]] },
  "feed/learnedResponse#learnedAmount": { args: [{ median: 10 }, 100, 0.5] },
  "feed/compareRecipes#recipeFacts": { args: [{ "NO3-N": 100, K: 200 }] },
  "feed/compareRecipes#targetsOutBy": { args: [{ "NO3-N": 100, K: 200, Ca: 90 }] },
  "feed/compareRecipes#factorForEc": { args: [{ "NO3-N": 100, K: 200 }, 1.2] },
  "feed/calibration#isFarOff": { args: [{ strength: 0.9 }] },
  "feed/calibration#dialPercent": { args: [100] },
  "feed/calibration#headsInSeries": { args: [50] },
  "feed/calibration#strokeError": { args: [0.5, 6] },
  "feed/doseCheck#doseCheck": {
    args: [{ productG: 400, volumeL: 200, labelGPerL: 1, planGPerL: 1, headspaceL: 40 }],
  },
  "feed/label#dosePerL": { args: [dose] },
  "feed/label#elementsOfLabel": { args: [{ N: 4, P2O5: 18 }] },
  "feed/label#knowsNitrogen": { args: [{ N: 4, P2O5: 18 }] },
  "feed/label#labelMgPerL": { args: [{ N: 4, P2O5: 18 }, dose] },
  "feed/salts#inStock": { args: ["A+B", "A"] },
  "feed/stockSplit#stockSplit": { args: [[{ ...salt, gPer1000L: 300 }], 2, 100, 8], but: ["0.0.id"] },
  "feed/acidDanger#acidDanger": { args: [{ acid: "nitric", massPercent: 38, volumeL: 500, meqPerL: 1 }] },
  "feed/acidDanger#slipDanger": { args: [[], 500] },
  "units/slips#suspectScale": { args: [2.1, "ppm500", { ecLow: 1.3, ecHigh: 1.7 }] },
  "growth/germination#countedGermination": { args: [46, 50, 95], but: [""] },
  "growth/germination#daysToHalf": { args: [[{ day: 3, up: 12 }], 50] },
  "growth/thermalLight#temperatureFactor": { args: [{ baseC: 4, optimumC: 20, maxC: 30 }, 15] },
  "growth/thermalLight#lightFactor": { args: [{ halfLightMol: 8, referenceDliMol: 15 }, 12] },
  "growth/thermalLight#dailyProgress": { args: [thermal, { lowestC: 8, highestC: 18, dliMol: 12 }] },
  "growth/stageDays#endByProgress": { args: [day, () => 0.1] },
  "growth/thermalLight#learnedRatio": { args: [[1.1, 1.2]] },
  "feed/dilution#dilution": { args: [0.5, 0.1] },
  "feed/learnedEc#learnedEc": { args: [[{ computedMsPerCm: 1.5, measuredMsPerCm: 1.6 }]] },
  "feed/ec#freeActivities": { args: [ions] },
  "feed/saturation#saturation": { args: [{ Ca: 4, SO4: 2, H2PO4: 1 }, 6] },
  "feed/saturation#clearToPh": { args: [{ Ca: 4, H2PO4: 1 }] },
  "feed/saturation#clearToTimes": { args: [{ Ca: 4, SO4: 2, H2PO4: 1 }, { Ca: 1 }, 6] },
  "feed/saturation#chelateHoldsToPh": { args: ["Fe-EDTA"] },
  "feed/feedGuard#feedGuard": { args: [feed, [{ name: "Fe-EDTA", chelate: true }], 6.5] },
  "feed/label#percentOfLabel": { args: [{ N: 4, P2O5: 18 }] },
  "feed/labelFeed#keptProduct": { args: [bottle] },
  "feed/labelFeed#labelFeedDoubts": { args: [[{ percent: salt.percent, gPer1000L: 800 }], 1.6] },
  "feed/byLabel#byLabel": { args: [[{ percent: salt.percent }], [800], 1.6] },
  "feed/byLabel#doseDoubt": { args: [4.8, 1.6] },
  "feed/labelEc#saltsOutBy": { args: [{ "NO3-N": 100, K: 250 }] },
  "feed/salts#liquidL": { args: [{ form: "liquid", densityKgPerL: 1.2 }, 300] },
  "garden/setup/addLabelFeed#ecOfShare": { args: [{ K: 8, NO3: 8 }, { Ca: 1 }, 0.5] },
  "feed/label#scaled": { args: [{ N: 4 }, 2] },
  "feed/labelEc#labelEc": { args: [[dosed], { Na: 1 }] },
  "feed/labelEc#labelFactorForEc": { args: [[dosed], 1.2, { Na: 1, Cl: 1 }] },
  "feed/carbonate#carbonateAt": { args: [20] },
  "feed/carbonate#carbonateCharge": { args: [7, 20] },
  "feed/carbonate#waterChargeMeqPerL": { args: [7, 20] },
  "feed/blendWaters#totalCarbonateMmolPerL": { args: [300, 7.3] },
  "feed/blendWaters#blendWaters": { args: [[{ water: tapWater, parts: 2 }]] },
  "feed/ionBalance#ionBalance": { args: [tapWater], but: ["ecMsPerCm", "ph"] },
  "feed/changeRule#ruleOf": { args: [{ kind: "limits", sodiumMgPerL: 92, chlorideMgPerL: 142 }] },
  "feed/tankDays#tankDays": {
    args: [
      {
        ...{ tankL: 600, drunkL: [40, 40], evaporatedL: [2, 2], recipeMmolPerL: ions, recipeGPer1000L: 1200 },
        ...{ waterMmolPerL: { Na: 1, Cl: 1 }, strength: 0.5, topUp: { kind: "strength", strength: 0.5 } },
        ...{
          uptakeMmolPerL: ions,
          uptakeShare: { Na: 0.1 },
          ecLow: 1,
          ecHigh: 2,
          minutesPerDay: 5,
          minutesPerChange: 45,
        },
      },
      { kind: "every-days", days: 7 },
    ],
  },
  "feed/saltRise#saltRise": { args: [600, [60, 60], [24, 24]] },
  "garden/standFlows#filmBand": { args: [6, 90] },
  "garden/waterQuality#daysUnder": { args: [[24, 30], 92] },
  "feed/nutrients#ionsFromElements": { args: [{ K: 200 }, 40] },
  "feed/nutrients#mixIons": { args: [[[0.5, ions]]] },
  "feed/phDose#acidAmount": { args: ["nitric", 100, 6, 38, 1.23] },
  "feed/phDose#acidMeqPerL": { args: [tank, 6] },
  "feed/phDose#aeratedAlkalinityMeqPerL": { args: [7, 20] },
  "feed/phDose#bicarbonateG": { args: [10] },
  "feed/phDose#phAfterAcid": { args: [tank, 0.3] },
  "feed/salts#stockFor": { args: [salt], but: ["solubilityGPerL.0", "solubilityGPerL.3"] },
  "feed/elementsOfSalts#elementsOfSalts": { args: [[{ percent: salt.percent }], [300]] },
  "feed/chargeBalance#chargeDifference": { args: [ions] },
  "feed/oxygen#oxygenHeldMgPerL": { args: [22, 300] },
  "feed/oxygen#pressureAtm": { args: [300] },
  "feed/recipeResult#recipeResult": { args: [wish, [300]] },
  "feed/solveRecipe#solveRecipe": { args: [wish, found] },
  "feed/solveRecipe#uniqueAmounts": { args: [wish, found] },
  "numeric/whole#wholeDown": { args: [2.5] },
  "numeric/whole#wholeUp": { args: [2.5] },
  "numeric/riseToZero#riseToZero": { args: [0, 10, (x: number) => x - 4] },
  "feed/scaleToEc#strengthForEc": { args: [ions, { K: 0.1 }, 1] },
  "feed/tankDose#tankDose": { args: [100, dose, 0.5] },
  "feed/tankDose#tankTopUp": {
    args: [100, dose, { readMsPerCm: 1, wantedMsPerCm: 1.4, labelMsPerCm: 1.6, waterMsPerCm: 0.4 }],
  },
  "feed/stocks#concentrationFactor": { args: [100, "in"] },
  "feed/stocks#solubilityAtGPerL": { args: [[127, 194, 279, 380], 8] },
  "feed/stocks#stockConflict": { args: [[{ name: "salt", percent: salt.percent }]] },
  "feed/stocks#stockDaysLeft": { args: [20, 100, 100] },
  "feed/stocks#stockMl": { args: [25, 200, 1] },
  "feed/stocks#stockSolubility": { args: [[{ ...salt, gPer1000L: 300 }], 100, 8] },
  "feed/stocks#stockTankG": { args: [300, 100, 100] },
  "feed/strengthByAge#strengthAtAge": { args: [14, 0.25, 1, 28] },
  "garden/ahead#weeksOf": {
    args: [{ from: day - 60, to: day + 400, today: day }, 17, day],
  },
  "garden/workOut#workOut": { args: [Made.of({}), Made.of({}), day] },
  "garden/setup/figures#harvestOverYear": { args: [252, sown, 40] },
  "garden/setup/alreadyGrowing#stagesReached": { args: [[{ daysByMonth: days }], day - 20, 12, 9, day] },
  "garden/tank#greatestFillL": { args: [400, 30] },
  "growth/library/sowing#librarySowing": { args: [sown, day, 20, 40], but: ["stages.0.survival"] },
  "growth/library/crop#daysByMonthAt": { args: [[22, 44], 40] },
  "growth/library/crop#daysToReady": { args: [{ stages: [{ days: [22, 44] }] }] },
  "place/layout/freePlace#freePlace": { args: [house, [rect], { lengthM: 2, widthM: 1 }] },
  "place/told/kinds#toldSpec": {
    args: ["channels", { lines: 12, lengthM: 6, spacingM: 0.2, endM: 0.1, pathEvery: 6 }],
  },
  "growth/cellsToSow#binomialTail": { args: [30, 0.8, 20] },
  "growth/cellsToSow#cellsToSow": {
    args: [{ targetPlants: 40, germination: 0.9, seedsPerCell: 2, thinTo: 1, laterSurvival: [0.9], confidence: 0.9 }],
  },
  "growth/cropKind#isSownInTrays": { args: ["shoots"] },
  "growth/harvestPattern#harvestPlan": {
    args: [{ kind: "cut", unitsPerPlant: 1, cuts: 3, daysBetween: 14, factor: 0.8, keepsDays: 4 }, day, 40],
  },
  "growth/harvestPattern#serveDays": { args: [{ kind: "picking", unitsPerPlantWeek: 1, weeks: 6, keepsDays: 4 }] },
  "growth/harvestPattern#unitsAtFirst": { args: [once] },
  "feed/meters#ecAt25C": { args: [2.25, 30] },
  "growth/splitDays#splitDays": { args: [[5, 44], 49] },
  "growth/sowDay#sowDayFor": { args: [day, [{ daysByMonth: days }], [1, 4]] },
  "growth/monthly#monthlyValue": { args: [days, day] },
  "growth/stepDay#stepDay": { args: [{ kind: "share", share: 0.75 }, day, { daysByMonth: days }] },
  "growth/stageDays#dayOfShare": { args: [day, { daysByMonth: days }, 0.75] },
  "growth/steps#usualSteps": {
    args: [{ stages: 3, germinatesIn: "dark", seedsPerCell: 3, thinTo: 1, blackoutDays: null, firstDays: 5 }],
  },
  "growth/stageDays#stallOf": { args: [[day, day + 20], [{ daysByMonth: days }]] },
  "growth/sowingYear#sowingYear": { args: [[{ daysByMonth: days }], day, 365] },
  "numeric/distributions#logGamma": { args: [4.5] },
  "numeric/distributions#incompleteBeta": { args: [4.5, 2, 0.4] },
  "numeric/distributions#normalCdf": { args: [1.2] },
  "numeric/distributions#normalQuantile": { args: [0.9] },
  "numeric/distributions#studentTwoSided": { args: [1.8, 17.8] },
  "numeric/distributions#studentQuantile": { args: [0.05, 17.8] },
  "numeric/distributions#noncentralTail": { args: [2, 20, 1.5] },
  "growth/trials#compareMeans": { args: [[5, 6, 7], [4, 6, 5], 0.95] },
  "growth/trials#compareShares": {
    args: [
      { yes: 46, no: 4 },
      { yes: 38, no: 12 },
    ],
  },
  "growth/trials#sizeForMeans": { args: [12, 15, { power: 0.8, alpha: 0.05 }] },
  "growth/trials#powerOfMeans": { args: [26, 0.8, 0.05] },
  "growth/trials#sizeForShares": { args: [0.7, 0.9, { power: 0.8, alpha: 0.05 }] },
  "growth/trials#resampledMean": { args: [[10.2, 11.5, 9.8], 0.9] },
  "growth/trayYield#trayYieldG": { args: [trayOf] },
  "growth/trayYield#traysFor": { args: [1200, 384, true] },
  "growth/conveyor#dailyTrays": {
    args: [{ ...trayOf, soakH: 10, blackoutDays: 3, lightDays: 5, halfTrays: true }, 1200, 1],
  },
  "growth/conveyor#marketTrays": {
    args: [
      { pea: { ...trayOf, soakH: 10, blackoutDays: 3, lightDays: 5, halfTrays: true } },
      [{ crop: "pea", weekday: 3, needG: 900 }],
      1,
    ],
  },
  "growth/conveyor#rackCarries": {
    args: [24, { daysOnRack: 8, cleaningDays: 1, startEveryDays: 2, halfTrays: true }],
  },
  "growth/fodder#fodderNeed": {
    args: [
      [{ heads: 6, freshKgPerHeadPerDay: 0.3 }],
      { ...trayOf, halfTrays: true, daysOnRack: 7 },
      { bagKg: 25, seedOnHandKg: 10, daysInMonth: 30 },
    ],
  },
  "place/climate/heating#heatLossWPerK": {
    args: [[{ uWPerM2K: 6.5, areaM2: 120 }], { volumeM3: 200, changesPerHour: 1 }],
  },
  "place/climate/heating#heaterW": { args: [780, 8, -5] },
  "place/climate/heating#heldC": { args: [5000, 780, 8, -5] },
  "place/climate/heating#degreeHours": { args: [8, -3, 9] },
  "place/climate/heating#heatMat": {
    args: [
      { uWPerM2K: 10, areaM2: 1.2, setPointC: 22, hasWPerM2: 160 },
      { lowestC: 8, highestC: 16 },
    ],
  },
  "place/climate/lamps#lightFor": { args: [9, 14, { umolPerM2S: 150, longestHours: 16 }] },
  "place/climate/lamps#lampStrength": { args: [7.5, 12] },
  "place/climate/lamps#lampPower": {
    args: [{ umolPerM2S: 150, areaM2: 4, umolPerJ: 2.5, shareThatLands: 0.9, hours: 16, pricePerKwh: 0.22 }],
  },
  "place/climate/envelope#envelope": {
    args: [{ lengthM: 14, widthM: 6, wallM: 2, roof: "gable", ridgeM: 4 }],
  },
  "place/climate/seasons#seasonsAreTurned": { args: [new Array<number>(12).fill(20), 52] },
  "place/climate/vents#ventsAgainst": { args: [60, 5, 4.5, 0.2] },
  "growth/seedNeed#seedNeed": {
    args: [{ cells: 60, seedsPerCell: 3, seedsPerG: 800, cellsPerTray: 50, pricePerG: 4.5 }],
  },
  "growth/seedNeed#seedOfBatchG": { args: [{ seedsPerCell: 2, seedsPerG: 100, tray: null }, 40] },
  "growth/seedNeed#seedToOrder": { args: [14.5, 4.25, day, 9] },
  "growth/severalOrOne#seedWay": {
    args: [
      { targetPlants: 40, laterSurvival: [0.9], confidence: 0.9 },
      { germination: 0.9, seedsPerCell: 2, pricePerSeed: 0.01 },
    ],
  },
  "growth/varyingLots#cellsForVaryingLots": {
    args: [
      { targetPlants: 40, germination: 0.9, seedsPerCell: 2, thinTo: 1, laterSurvival: [0.9], confidence: 0.9 },
      0.05,
    ],
  },
  "growth/cellsToSow#keptInCell": { args: [{ seedsPerCell: 6, thinTo: 4 }] },
  "growth/stageDays#stageBoundaries": { args: [day, [{ daysByMonth: days }]] },
  "growth/stageDays#stageClock": { args: [{ daysByMonth: days }, day, day + 60] },
  "growth/stageDays#stageEnd": { args: [day, { daysByMonth: days }] },
  "people/rights#may": { args: ["viewer", "look"] },
  "people/rights#whoMay": { args: ["dose"] },
  "place/bedPlants#bedPlants": {
    args: [{ lengthM: 6, widthM: 1.2, endMarginM: 0.1, edgeMarginM: 0.15, rows: 4, pitchM: 0.2, pattern: "staggered" }],
  },
  "place/bench/assembly#clearance": {
    args: [
      {
        name: "rail",
        pieces: [{ lengthMm: 600, count: 2 }],
        fittings: [{ name: "tee", count: 2, takeUpMm: 4, sides: 2 }],
        otherMm: 600,
        way: "takes-a-piece",
      },
    ],
  },
  "place/bench/cutList#cutList": { args: [cutProblem, solved] },
  "place/density#densities": { args: [360, 7.2, 27.72, 72] },
  "place/gradedLine#gradedLine": {
    args: [
      6,
      0.1,
      [
        { lengthM: 2.1, pitchM: 0.1 },
        { lengthM: 3.9, pitchM: 0.2 },
      ],
    ],
  },
  "place/gradedLine#zonesForRate": { args: [10, [2, 3]] },
  "place/dammedLine#dammedLineL": {
    args: [{ section: "rect", sizeMm: 100, damHeightMm: 25, fallOneIn: 100, lengthM: 4, lines: 8 }],
  },
  "place/floodBench#floodBench": {
    args: [
      {
        areaM2: 4,
        floodDepthM: 0.06,
        displacedShare: 0.2,
        fillFlowLph: 900,
        drainHoleMm: 20,
        drainHoles: 2,
        dischargeCoefficient: 0.6,
        drainedAtDepthM: 0.002,
      },
    ],
  },
  "place/segmentArea#fullPipeL": { args: [33.2, 14] },
  "place/rectangularChannel#rectangularChannelL": { args: [100, 30, 6, 10] },
  "place/segmentArea#segmentAreaM2": { args: [103.6, 51.8] },
  "place/supportHeights#supportHeights": { args: [6, 1.2, 40, 0.85] },
  "place/tankAfterStop#tankAfterStop": {
    args: [{ drainBackL: 40, tankPlanAreaM2: 1, normalFillLevelM: 0.5, tankRimM: 0.6 }],
  },
  "place/turnoverPerHour#turnoverPerHour": { args: [1200, 200] },
  "place/houseChecks#clashOf": { args: [house, stand, [{ ...stand, id: 2, yM: 4 }]] },
  "place/houseChecks#houseClashes": { args: [house, [stand]] },
  "place/houseChecks#houseOverlaps": { args: [[{ ...rect, name: "Net" }]] },
  "place/houseChecks#narrowWays": { args: [[stand]] },
  "place/kinds/beds#emittersPerLateral": { args: [10, 0.3] },
  "place/kinds/buckets#bucketSites": { args: [24, 2] },
  "place/layout/compare#layoutFigures": {
    args: [layout, [{ id: "net-cup:50", onHand: 1, priceEach: 0.2 }]],
    but: ["version"],
  },
  "place/layout/document#layoutFaults": { args: [layout, []], but: ["version"] },
  "place/layout/document#standsIn": { args: [layout, "Net"], but: ["version"] },
  "place/layout/fillHouse#fillHouse": { args: [rect, spec, rules] },
  "place/layout/fillHouse#largestFree": { args: [house, [rect], 0.3] },
  "place/layout/houseOptions#exampleIn": { args: [rect, "drip-beds"] },
  "place/layout/houseOptions#houseOptions": { args: [{ xM: 0, yM: 0, lengthM: 12, widthM: 6 }, 72, rules] },
  "garden/entities/layoutJsonSchema#layoutJsonSchema": { args: [] },
  "place/layout/materials#materialList": { args: [[spec], 0.05, [{ id: "net-cup:50", onHand: 1, priceEach: 0.2 }]] },
  "place/layout/snap#snapped": { args: [rect, house, [{ ...rect, yM: 3.5 }], 0.2] },
  "place/layout/standsTable#standsTable": { args: [layout], but: ["version"] },
  "place/layout/stretch#stretched": { args: [spec, { alongM: 5, acrossM: 2 }] },
  "place/layout/svg#layoutSvg": { args: [layout], but: ["version"] },
  "place/layout/svg#layoutTextInSvg": { args: ["<svg/>"] },
  "place/lineSites#lineSites": { args: [6, 0.125, 0.25] },
  "place/lineSites#plasticBetweenHoles": { args: [0.25, 50] },
  "place/lineWords#lineWords": { args: [[stand], [0, 1]], but: ["0.xM", "0.yM"] },
  "place/lineWords#growingAreaSitesPerLine": { args: [[stand]], but: ["0.xM", "0.yM"] },
  "place/linesIntoHouse#aisleUsed": { args: [0.4, false] },
  "place/linesIntoHouse#linesIntoHouse": {
    args: [
      {
        houseWidthM: 6,
        lineWidthM: 0.1,
        gapM: 0.1,
        aisleM: 0.6,
        linesPerBlock: 4,
        sideClearanceM: 0.2,
        aisleInsisted: false,
      },
    ],
  },
  "place/raft#raftPoints": { args: [raft] },
  "place/raft#raftSites": { args: [raft] },
  "place/standChecks#headspaceWarning": {
    args: [{ loopName: "Leaf", drainBackL: 90, pipeL: 10, headspaceL: 50, overflowL: 40 }],
    but: ["pipeL"],
  },
  "place/standChecks#standChecks": { args: [STAND_MODELS.towers.example, { latitudeDeg: 37, rootCrops: [] }] },
  "place/oneMore#standWithMore": { args: [spec, 2] },
  "place/standCounts#standCounts": { args: [spec] },
  "place/standDensities#standDensities": { args: [stand, house] },
  "place/standDensities#standGroundM2": { args: [stand] },
  "place/standFlow#standFlow": { args: [STAND_MODELS["drip-beds"].example] },
  "place/standLayout#isInSight": { args: [STAND_MODELS["tray-rack"].example, 1] },
  "place/standLayout#lineLabel": { args: [spec, 1] },
  "place/standLayout#lineSitePoints": { args: [STAND_MODELS["raft-pond"].example] },
  "place/standLayout#standFootprint": { args: [stand] },
  "place/standLayout#standLayout": { args: [STAND_MODELS["bucket-line"].example] },
  "place/standLayout#toHouse": { args: [rect, { xM: 1, yM: 1, turned: true }] },
  "place/standWater#drainBackL": { args: [STAND_MODELS["flood-bench"].example] },
  "place/standWater#loopTankRoom": {
    args: [{ kind: "recirculating", tankL: 600, normalFillL: 550, pump: { pipeLengthM: 14, boreMm: 33.2 } }, [spec]],
  },
  "place/standWater#standWater": { args: [STAND_MODELS["media-bed"].example] },
  "place/towers#noonElevationDeg": { args: [37, 172] },
  "place/towers#towerShade": {
    args: [
      {
        tiers: 10,
        firstTierHeightM: 0.3,
        tierPitchM: 0.15,
        towerSpacingM: 1,
        towerDiameterM: 0.2,
        sunElevationDeg: 30,
      },
    ],
  },
  "place/towers#towerSites": {
    args: [{ towers: 8, tiers: 9, plantsPerTier: 4, firstTierHeightM: 0.3, tierPitchM: 0.18, aboveTopTierM: 0.1 }],
  },
  "place/trayRack#trayRack": {
    args: [
      {
        racks: 1,
        shelvesPerRack: 4,
        shelfLengthM: 1.2,
        shelfWidthM: 0.6,
        trayLengthM: 0.6,
        trayWidthM: 0.3,
        cellsPerTray: 72,
      },
    ],
  },
  "round/dosing#isDose": { args: ["mix"] },
  "round/log#figuresOfEntry": { args: [{ kind: "store", store: "Cistern", storedL: 900 }] },
  "round/tankItems#feedAmounts": {
    args: [{ feeding: "stocks", feed, salts: [salt] }, 100],
    but: ["salts.0.percent.NO3-N", "salts.0.percent.K", "salts.0.solubilityGPerL.0", "salts.0.solubilityGPerL.3"],
  },
  "round/roundItems#roundItems": {
    args: [
      {
        today: day,
        plan,
        growingAreas: [],
        loops: [
          {
            id: 1,
            name: "Leaf",
            kind: "recirculating",
            feeding: "stocks",
            normalFillL: 600,
            readEveryDays: 2,
            needLpd: 50,
            lastReading: { day: day - 2, levelL: 500 },
            outOfBand: null,
            dosed: null,
            changeDue: null,
            feed,
            salts: [],
          },
        ],
        store: null,
        shortages: [],
        seedOrders: [],
        catchCans: [],
        settledKeys: new Set(),
        pickedByBatch: new Map(),
      },
    ],
  },
  "units/clockText#dayAt": { args: [new Date(0), "UTC"] },
  "units/clockText#timeAt": { args: [new Date(0), "UTC"] },
  "units/day#civilDate": { args: [day] },
  "units/day#dayOfYear": { args: [day] },
  "units/day#dayFromIso": { args: ["2027-01-01"] },
  "units/day#dayInWords": { args: [day, "long"] },
  "units/day#daysInMonth": { args: [2027, 2] },
  "units/day#isoFromDay": { args: [day] },
  "units/day#nextWeekday": { args: [day, 3] },
  "units/day#weekdayOf": { args: [day] },
  "units/dimensions#fromBase": { args: [1, { symbol: "m", aliases: [], factor: 1 }], but: ["factor"] },
  "units/dimensions#preferredUnit": { args: ["ec", METRIC] },
  "units/dimensions#toBase": { args: [1, { symbol: "m", aliases: [], factor: 1 }], but: ["factor"] },
  "units/format#editText": { args: [1, "length", METRIC] },
  "units/format#counted": { args: [2, "house"] },
  "units/format#formatIn": { args: [1.37, "length", "cm"] },
  "units/format#percentText": { args: [0.2] },
  "units/format#formatNumber": { args: [1, 2], but: [] },
  "units/format#formatQuantity": { args: [1, "length", METRIC] },
  "units/format#quantityText": { args: [1, "length", METRIC] },
  "units/parse#parseQuantity": { args: ["3 ft 6", "length", METRIC] },
  "units/rounded#inMm": { args: [0.25] },
  "units/rounded#inText": { args: ["{10 m} for most drip", METRIC] },
  "units/rounded#roundIn": { args: [6, "length", { ...METRIC, system: "us" }] },
  "units/slips#suspectSlip": { args: ["ec", 14] },
  "water/ladder#ladder": {
    args: [
      {
        kind: "recirculating",
        drainShare: 0.1,
        pump: {
          ...{ by: "pump", flowLph: 4000, wantedLph: 3240, liftM: 1, banks: 6 },
          lessLift: { lessM: 0.1, gainLph: 90 },
          widerPipe: { boreMm: 40, gainLph: 50 },
          main: { boreMm: 33.2, lengthM: 10, lossM: 0.8, headThereM: 3.2, neededM: 1.8 },
        },
        timer: { kind: "every", everyMin: 90, runMin: 15, fromMin: 420, toMin: 1140 },
        turns: 1,
        stands: [
          {
            key: "1:1",
            name: "Bank",
            lines: 12,
            lineFlowLph: 90,
            linesPerValve: 6,
            limited: false,
            sitesPerLine: 24,
            share: 1,
            leastPlantShare: 0.9,
            plants: 200,
            needLpd: 40,
          },
        ],
        injector: { leastLph: 20, greatestLph: 2500 },
        garden: { needLpd: 100, sourcesLpd: 80, storedL: 900, capacityL: 5000 },
      },
    ],
  },
  "water/emitter#emitterFlowLph": { args: [emitter, 10] },
  "water/emitter#outletOf": { args: [emitter] },
  "water/lateral#solveLateral": { args: [{ ...line, count: 20 }, 10] },
  "water/dripRun#solveDripRun": {
    args: [{ tube: { ...line, count: 10 }, tubes: 3, joinLengthM: 0.6, join: null }, 10],
  },
  "water/dripRun#runLossM": { args: [90, 3, pipe, { ...pipe, lengthM: 0.4 }] },
  "water/porousHose#porousHose": {
    args: [{ firstHeadM: 3, firstLitres: 0.25, secondHeadM: 7, secondLitres: 0.55, minutes: 10 }],
  },
  "water/porousHose#porousLine": { args: [emitter, { boreMm: 13 }, 20, 0] },
  "water/pumpCurve#risesAt": {
    args: [
      [
        { flowLph: 0, headM: 5 },
        { flowLph: 3000, headM: 2 },
      ],
    ],
  },
  "water/dripLine#withPorousHose": { args: [STAND_MODELS["drip-beds"].example, { ...emitter, exponent: 0.9 }] },
  "water/stillTank#stillTank": { args: [stillWater] },
  "water/network/loopNetwork#solveLoop": { args: [network] },
  "water/shortRun#shortRun": {
    args: [{ lineVolumeL: 1.45, inletLph: 52.8, emittersLph: 52.8, runS: 60, staysFull: false, plants: 33 }],
  },
  "water/lineRun#lineRun": {
    args: [
      ...[STAND_MODELS["bucket-line"].example, dripLine(STAND_MODELS["bucket-line"].example, 10)],
      ...[thrice, false, 2, 0.2],
    ],
    but: ["1"],
  },
  "water/waterHolding#waterHolding": {
    args: [
      {
        ...{ containerL: 15, availableShare: 0.25, allowedShare: 0.3, runL: 0.6, drainShare: 0.2 },
        ...{ needLpd: 2, peakHourShare: 0.13, longestGapHours: 3, runsPerDay: 4 },
      },
    ],
  },
  "batches/shortages#orderByDay": { args: [day + 30, 10] },
  "feed/saltsFile#readSalts": {
    args: [
      [
        ["name", "K_percent"],
        ["ash", "12"],
      ],
    ],
  },
  "place/climate/weatherFile#readWeather": { args: ["date,tmax,tmin\n2027-01-01,14,6"] },
  "water/supplyYears/weatherYears#weatherYears": { args: [rain, 2, 1] },
  "water/supplyYears/temperatureYears#temperatureYears": {
    args: [normals, [], days, 1],
    but: ["0", "11"],
  },
  "water/supplyYears/drawnYears#drawnYears": { args: [[], 2, 1] },
  "water/supplyYears/leastStore#firstShortDay": {
    args: [{ inflowL: Made.of([10, 0]), drawL: Made.of([5, 5]), othersLpd: 2 }, 100, 50],
  },
  "water/supplyYears/leastStore#leastStoreL": { args: [() => 9, 9, 10, 1000] },
  "water/supplyYears/storeYears#storeYears": {
    args: [
      {
        from: day,
        needL: [100, 120],
        sources: [source],
        store: { capacityL: 5000, storedL: 900 },
        rain,
        years: 2,
        seed: 1,
      },
    ],
  },
  "water/barrelRun#barrelRun": {
    args: [{ storedL: 800, fullL: 1000, lowestWaterM: 0.8, waterSinksM: 1 }, 15, () => 100],
  },
  "water/waterHolding#longestPauseMin": { args: [3, 20, 0.13] },
  "water/network/pressure#squareLink": { args: [{ lossM: 1, atLph: 900 }] },
  "water/network/pressure#regulatorLink": { args: [regulator, 30] },
  "water/network/pressure#regulationAt": { args: [regulator, 30, 500] },
  "water/dripLine#drippedOf": { args: [STAND_MODELS["drip-beds"].example] },
  "water/dripLine#linesOf": { args: [STAND_MODELS["drip-beds"].example] },
  "water/dripLine#lateralOf": { args: [STAND_MODELS["drip-beds"].example] },
  "water/dripLine#bedPlanOf": {
    args: [STAND_MODELS["drip-beds"].example, Made.of(dripLine(STAND_MODELS["drip-beds"].example, 10)!)],
  },
  "water/dripLine#dripLine": { args: [STAND_MODELS["drip-beds"].example, 10] },
  "water/dripLine#compareSpacings": { args: [STAND_MODELS["drip-beds"].example, [0.2, 0.3], 10, 0.05] },
  "place/runsInSeries#runsInSeries": {
    args: [{ lines: 12, linesPerRun: 3, flowPerRunLph: 90, lineLengthM: 6, joinLengthM: 0.4, plantsPerLine: 24 }],
  },
  "water/longestLateral#longestLateral": { args: [line, 10, 0.1] },
  "water/needFactor#drunkByDay": {
    args: [
      [
        { atMs: 0, day, levelL: 500 },
        { atMs: 7.2e7, day, levelL: 480 },
      ],
      [{ atMs: 3.6e7, addedL: 20, drains: false }],
      650,
    ],
    but: ["0.atMs", "1.atMs"],
  },
  "place/climate/sun#dailyLightMol": { args: [20] },
  "place/climate/normals#onDayOfYear": { args: [days, 172] },
  "place/climate/normals#normalDay": { args: [normals, 172] },
  "place/climate/normals#measuredDay": {
    args: [{ latitudeDeg: 40, elevationM: 20, nearSea: true }, measured, 172],
  },
  "place/climate/normals#requireNormals": { args: ["normalDay", normals] },
  "place/climate/houseAir#lightInside": { args: [houseAir] },
  "place/climate/houseAir#longwaveOpenness": { args: [houseAir] },
  "place/climate/houseAir#insideDay": { args: [houseAir, outsideDay] },
  "place/climate/houseAir#houseEt0": { args: [houseAir, outsideDay, 20] },
  "place/climate/climateYear#climateDays": { args: [normals, houseAir, [172]] },
  "place/climate/sun#sunOfDay": { args: [40, 172] },
  "place/climate/sun#declinationOf": { args: [172] },
  "place/climate/sun#radiationFromTemperatures": { args: [ra, 26, 14, 0.16] },
  "place/climate/sun#radiationFromSunshine": { args: [sun, 9] },
  "place/climate/sun#clearSkyRadiation": { args: [ra, 100] },
  "place/climate/air#saturationKpa": { args: [20] },
  "place/climate/air#saturationSlope": { args: [20] },
  "place/climate/air#meanSaturationKpa": { args: [26, 14] },
  "place/climate/air#vapourPressureKpa": { args: [26, 14, 0.9, 0.5] },
  "place/climate/air#airPressureKpa": { args: [100] },
  "place/climate/air#psychrometricKpaPerC": { args: [101] },
  "place/climate/air#windAt2M": { args: [3, 10] },
  "place/climate/et0#netLongwave": { args: [26, 14, 1.5, 0.8] },
  "place/climate/et0#et0": {
    args: [{ ...inside, windAt2MMPerS: 2, skyRatio: 0.8, soilHeatMjPerM2Day: 0 }],
  },
  "place/climate/underCover#et0UnderCover": {
    args: [
      { ...inside, cover: "closed", transmissivity: 0.8, shadeShare: 0.3, clearSkyMjPerM2Day: 30, windAt2MMPerS: 2 },
    ],
  },
  "water/plantNeed#plantNeedLpd": { args: [4, 1, 0.04, 1] },
  "water/bedCoverage#bedCoverage": { args: [bedPlan] },
  "water/blockedEmitters#blockedEmitter": { args: [bedPlan, Made.of(bedShares), 0] },
  "water/blockedEmitters#dryStretchM": { args: [bedPlan, Made.of(bedShares), 0.1, [0]] },
  "water/blockedEmitters#randomBlocking": { args: [Made.of(bedShares), 0.05] },
  "water/catchCans#judgeCatchCans": {
    args: [{ volumesMl: [98, 100, 0, 97], durationS: 180, nominalFlowLph: 2, runHoursPerDay: 2 }],
  },
  "water/uniformity#uniformity": { args: [[2, 1.9, 1.8], 0.03, 1] },
  "water/uniformity#euVerdict": { args: [0.95] },
  "water/uniformity#flowVariationVerdict": { args: [0.1] },
  "water/pipeFriction#frictionOf": { args: [{ boreMm: 13.6 }] },
  "water/frictionFactor#frictionFactor": { args: [5000, 0.001] },
  "water/pipeFriction#pipeHeadLossM": { args: [900, { ...pipe, hazenWilliamsC: 140 }] },
  "water/pipeSizes#fittingsK": { args: [4, 1, 1.5] },
  "water/pipeSizes#usualPipe": { args: [900, "metric"] },
  "water/plantWater#plantWater": { args: [{ perPlantLph: 4, plants: 9, timer: thrice }] },
  "water/plantWater#tankLasts": { args: [100, 36, 0.5, thrice] },
  "water/pumpAnswer#pumpAnswer": { args: [{ pump: label, staticLiftM: 0.9, headWantedM: 0, pipe }, 350] },
  "water/pumpCurve#curveOf": { args: [label] },
  "water/pumpCurve#labelPumpCurve": { args: [800, 1.8] },
  "water/pumpCurve#pumpCurve": { args: [points] },
  "water/pumpDuty#hydraulicPowerW": { args: [1200, 2] },
  "water/pipeFriction#fittingsLoss": { args: [{ boreMm: 21.2, fittingsK: 2 }] },
  "water/pumpDuty#pumpDuty": { args: [{ pump: { kind: "table", points }, staticLiftM: 1, headWantedM: 0.5, pipe }] },
  "water/rainInflow#meanRainInflowL": { args: [rain, 3, 31, 40], but: ["rainMmByMonth.11"] },
  "water/rainInflow#rainInflowL": { args: [10, 20] },
  "water/storageBalance#storageDay": { args: [100, 1000, 50, 80] },
  "water/supply#supplyHorizon": { args: [day, [100, 120], [source], { capacityL: 5000, storedL: 900 }, rain] },
  "water/litrePrices#litrePrices": {
    args: [{ storedL: [800, 700], drawnL: [[100, 120]] }, [source], { capacityL: 5000, storedL: 900 }],
  },
  "water/tankName#tankName": { args: ["Leaf"] },
  "units/format#clockText": { args: [420] },
  "place/climate/sun#sunriseAndSunset": { args: [40, 172] },
  "water/lightWindows#lightWindows": {
    args: [
      { isSolid: false, lampsFromMin: 300, lampsToMin: 1200 },
      { riseMin: 400, setMin: 1100 },
    ],
  },
  "water/lightWindows#runsInTheDark": {
    args: [[{ startMin: 300, lengthMin: 10 }], [{ fromMin: 300, toMin: 900 }]],
    but: ["0.lengthMin", "0.fromMin", "0.toMin"],
  },
  "water/timer#longestPauseByDayMin": {
    args: [
      { kind: "times", timesMin: [480, 1020], runMin: 20 },
      { riseMin: 400, setMin: 1100 },
    ],
  },
  "water/flushing#flushing": { args: [line] },
  "water/refillDay#refillDay": {
    args: [{ drawnL: new Array<number>(24).fill(10), tankL: 500, flowLph: 100, hoursPerDay: 8 }],
  },
  "water/refillDay#sharesByHour": { args: [360, 1080] },
  "water/waterViscosity#kinematicViscosityM2PerS": { args: [18] },
  "water/timer#timerMinutes": { args: [{ kind: "times", timesMin: [480, 1020], runMin: 20 }] },
  "water/timer#timerRuns": { args: [{ kind: "every", everyMin: 90, runMin: 15, fromMin: 420, toMin: 1140 }] },
};

const SOLVER = "part of cutList, which has checked what it is given";
const BUILDER = "builds the descriptions of the kinds, or counts from a specification that was checked";
const CHECK = "is itself the check";
const PIPES = "a part of solveLateral and solveLoop, which have checked what they are given";
const GARDEN = "reads a whole garden: the rooms below check the figures that they work on";
const PLAN = "a part of workOutPlan or areaPlaces, which have checked what they are given";
const ROWS = "compares rows and puts values in their places; it works nothing out from a figure";
const SOUND = "takes what other functions of the core have made";

/** Exported for the files of their own room only, and why they need not check once more. */
export const INSIDE: Readonly<Record<string, string>> = {
  ...Object.fromEntries(
    [
      "Model#isBought",
      "Model#longestOf",
      "Model#uncutOf",
      "Model#worth",
      "Pattern#bestPattern",
      "Patterns#filledLongestFirst",
      "Patterns#firstPatterns",
      "Patterns#generate",
      "Patterns#isKnown",
      "Patterns#onOtherBars",
      "Patterns#patternsWithin",
      "Plan#bestPlan",
      "Program#cutProgram",
      "Totals#leastSum",
      "Totals#leastTotal",
    ].map((name) => [`place/bench/cut${name}`, SOLVER]),
  ),
  ...Object.fromEntries(
    [
      "areaPlaces#roomBeside",
      "bestFit#bestFit",
      "improve#improve",
      "keptPlace#keptRanges",
      "planPlaces#planPlaces",
      "planPlaces#suitedLines",
      "rooms#indexed",
      "rooms#rangesOf",
      "searchAll#searchAll",
      "siteRuns#lineRanges",
      "siteRuns#rangesOfRuns",
      "siteRuns#runsOfRanges",
      "siteRuns#siteStarts",
    ].map((name) => [`batches/places/${name}`, SOUND]),
  ),
  ...Object.fromEntries(
    [
      "checkPlan#checkPlan",
      "columns#columnsOfPlan",
      "columns#giftRows",
      "columns#planOfColumns",
      "columns#rowOver",
      "columns#seasonColumns",
      "columns#sitesTaken",
      "columns#waterTaken",
      "dive#dive",
      "explain#explainPlan",
      "improve#improvePlan",
      "improve#valueOf",
      "limitRows#limitRows",
      "part#partOf",
      "part#withPart",
      "solveSeason#solveSeason",
      "sharedBest#sharedBest",
      "usage#usageOf",
      "worthOf#worthOf",
      "worthOfMore#worthOfMore",
    ].map((name) => [`batches/season/${name}`, SOLVER]),
  ),
  "numeric/groupBy#groupBy": BUILDER,
  "place/bench/largeOffcut#oneLargeOffcut": SOLVER,
  ...Object.fromEntries(
    [
      "batches/occupancy#addStay",
      "batches/occupancy#areaTallies",
      "batches/occupancy#occupancyOf",
      "batches/timeline#addLotsOf",
      "batches/timeline#lastDay",
      "batches/timeline#staysOf",
      "growth/harvestPattern#eachLot",
      "growth/harvestPattern#earliestFree",
      "growth/harvestPattern#latestFree",
    ].map((name) => [name, PLAN]),
  ),
  ...Object.fromEntries(
    [
      "count",
      "material",
      "mixLitres",
      "mm",
      "number",
      "parallelLines",
      "pieces",
      "pitch",
      "points",
      "reachWarnings",
      "thinPlasticWarning",
      "valves",
    ].map((name) => [`place/kinds/shared#${name}`, BUILDER]),
  ),
  ...Object.fromEntries(
    ["choiceField", "columnOf", "entity", "fieldOf", "numberField", "textField", "unionField"].map((name) => [
      `garden/entities/field#${name}`,
      BUILDER,
    ]),
  ),
  ...Object.fromEntries(
    ["apply", "between", "holding", "isEmpty", "isSame", "rebase", "reverse", "settle", "squash", "without"].map(
      (name) => [`garden/changes#${name}`, ROWS],
    ),
  ),
  "garden/entities/index#partEntities": BUILDER,
  ...Object.fromEntries(
    [
      "edit#asDescribed",
      "edit#newRow",
      "edit#removedRows",
      "edit#savedRow",
      "edit#typedThatStands",
      "faults#newFaults",
      "splitBatch#joinBatches",
      "splitBatch#splitBatch",
      "gardenOf#gardenOf",
      "layoutTables#tablesWithLayout",
      "part#rowsOf",
      "part#withNeeded",
      "stockTanks#stockTankChanges",
    ].map((name) => [`garden/${name}`, ROWS]),
  ),
  "place/kinds/index#modelOf": BUILDER,
  "place/kinds/index#channelBankOf": BUILDER,
  "place/kinds/racks#traysOf": BUILDER,
  "place/kinds/towerRow#noonShade": BUILDER,
  "place/layout/stretch#mostThat": BUILDER,
  "place/runsOf#runsOf": BUILDER,
  "place/stand#kindWords": BUILDER,
  "place/stand#plural": BUILDER,
  ...Object.fromEntries(
    [
      "units/range#requireEach",
      "units/range#requireFigures",
      "units/range#requireRange",
      "units/range#requireWhole",
      "units/day#requireDay",
      "growth/harvestPattern#requirePattern",
      "place/kinds/requireSpec#requireSpec",
      "place/requireRect#requireHouse",
      "place/requireRect#requireRect",
      "place/layout/document#requireLayout",
      "place/layout/document#requireLayoutHouse",
      "batches/requirePlan#requireArea",
      "batches/requirePlan#requireBatch",
      "batches/requirePlan#requireConfidence",
      "batches/requirePlan#requireOrder",
      "batches/requirePlan#requirePlanInput",
      "batches/requirePlan#requireSpan",
      "batches/requirePlan#requireVariety",
    ].map((name) => [name, CHECK]),
  ),
  ...Object.fromEntries(
    [
      "garden/ahead#storeInHand",
      "garden/ahead#countedInShortages",
      "garden/ahead#banksOf",
      "garden/stockRecord#sinceMixed",
      "round/mixedSalts#mixedSalts",
      "garden/slipOf#acidStrengthOf",
      "garden/slipOf#acidResponse",
      "garden/acidRoom#acidRoom",
      "garden/loopStrength#loopStrength",
      "garden/loopStrength#strengthBasis",
      "garden/loopStrength#wishesAhead",
      "garden/injectorSheet#injectorSheet",
      "garden/injectorSheet#calibrationDue",
      "garden/ahead#growingByVariety",
      "garden/ahead#ordersAhead",
      "garden/ahead#sitesOf",
      "garden/comparison#gardenFigures",
      "garden/comparison#displacedStays",
      "garden/balance#balanceView",
      "garden/effects#effectsOf",
      "garden/effects#slipEffects",
      "garden/memo#memo",
      "garden/layoutTables#liveLayout",
      "garden/loopFeed#loopFeeds",
      "garden/climate#daysOfYearIn",
      "garden/climate#et0ByArea",
      "garden/climate#et0ByHouse",
      "garden/climate#normalsOf",
      "garden/climate#outsideYear",
      "garden/cropProfile#bandsMiss",
      "garden/season/asPlanned#seasonAsPlanned",
      "garden/season/draft#cellsOf",
      "garden/season/draft#draftBatches",
      "garden/season/draft#draftChanges",
      "garden/season/draftView#draftView",
      "garden/season/keptSowings#drinking",
      "garden/season/keptSowings#keptSowing",
      "garden/season/laterDay#laterDays",
      "garden/season/placedDraft#leftOutOf",
      "garden/season/placedSeason#placedSeason",
      "garden/season/placedDraft#placedDraft",
      "garden/season/placedDraft#withPlaces",
      "garden/season/planSeason#planSeason",
      "garden/season/presentPlan#presentPlan",
      "garden/season/supplyPrices#supplyPrices",
      "garden/season/reasons#seasonReasons",
      "garden/season/easing#easings",
      "garden/season/easing#orderRemedies",
      "garden/season/namedLimit#namedLimit",
      "garden/season/namedLimit#limitKey",
      "garden/season/remedy#remedyChanges",
      "garden/season/seasonLimits#labourOf",
      "garden/season/seasonLimits#waterOf",
      "garden/season/seasonLimits#withRoom",
      "garden/season/seasonProblem#isOpenBatch",
      "garden/season/seasonProblem#seasonProblem",
      "garden/season/sowingOptions#cellsPerPlant",
      "garden/season/sowingOptions#optionsFor",
      "garden/season/usualSeason#seasonSettings",
      "garden/season/wantedDays#wantedDays",
      "garden/keepPlaces#keepWhereTheyStand",
      "garden/keepPlaces#letGo",
      "garden/keepPlaces#placeRows",
      "garden/keepPlaces#putAt",
      "garden/keepPlaces#sitesFrom",
      "garden/keepPlaces#swapPlaces",
      "garden/suitedVarieties#suitedVarieties",
      "garden/headAtLines#headAtLines",
      "garden/stillWater#stillAnswer",
      "garden/stillWater#stillStands",
      "garden/loopNeed#openWaterLpd",
      "garden/openWater#openWaterByLoop",
      "garden/openWater#openWaterMm",
      "garden/refills#sourceRefills",
      "garden/ladderStands#ladderStands",
      "garden/loopPipes#bankName",
      "garden/standFlows#standFlows",
      "garden/waterQuality#sourceQualities",
      "garden/waterQuality#isAnalysed",
      "garden/waterQuality#drawnBlend",
      "garden/waterQuality#loopRises",
      "garden/keepOrChange#changeInput",
      "garden/changeDue#changeDue",
      "garden/remedies#remediesOf",
      "garden/loopLight#loopLight",
      "garden/filmPauses#filmPauses",
      "garden/standing#standingOn",
      "garden/standing#standsWithStays",
      "garden/standing#plantsWithin",
      "garden/standing#standingOnStand",
      "garden/standing#standingOnLoop",
      "garden/loopNeed#learnedNeed",
      "garden/loopNeed#loopNeedLpd",
      "garden/placeView#houseViews",
      "garden/planInput#areaStands",
      "garden/planInput#planInput",
      "garden/roundOf#roundOf",
      "garden/seasonView#seasonView",
      "garden/seasonAreas#seasonAreas",
      "garden/weeks#weeksOf",
      "garden/weeks#alike",
      "garden/household#household",
      "garden/household#householdOrders",
      "garden/keepPlaces#runsFrom",
      "garden/slipOf#slipOf",
      "garden/supply#sourceLimitLpd",
      "garden/supply#suppliedBy",
      "garden/supply#waterSupply",
      "garden/supply#saltStores",
      "water/loopPump#realPumpOf",
      "water/loopPump#pumpSystem",
      "water/loopPump#mainPipe",
      "water/loopPump#viscosityIn",
      "garden/tank#loopLadder",
      "garden/tank#endsOf",
      "garden/tank#tankLimits",
    ].map((name) => [name, GARDEN]),
  ),
  "units/dimensions#systemOf": BUILDER,
  "batches/plantNeed#needPerMmL": PLAN,
  "batches/plantNeed#stageNeedLpd": PLAN,
  "place/climate/weatherNormals#weatherNormals": SOUND,
  "water/needFactor#needFactor": SOUND,
  "water/supplyYears/drawnYears#wholeMonths": SOUND,
  "batches/unfitting#sownForAlone": SOUND,
  "garden/examples/exampleTables#exampleChanges": GARDEN,
  "garden/nextStep#nextStep": GARDEN,
  "round/raisingItems#raisingItems": "the inside of roundItems",
  "round/where#growingAreaStop": "the inside of roundItems",
  "round/where#houseStop": "the inside of roundItems",
  "round/where#whereOf": "the inside of roundItems",
  "garden/trays#cellsPerTrayByArea": GARDEN,
  "garden/houseHeat#houseHeat": GARDEN,
  ...Object.fromEntries(
    ["cropBands", "unshadedByMonth", "weatherAlerts", "weekAhead"].map((name) => [`garden/houseCrops#${name}`, GARDEN]),
  ),
  ...Object.fromEntries(["rackAreas", "rackEvents", "rackViews"].map((name) => [`garden/rackView#${name}`, GARDEN])),
  ...Object.fromEntries(["rackWeeks", "trayCrops"].map((name) => [`garden/trayNeeds#${name}`, GARDEN])),
  ...Object.fromEntries(
    ["germinationFigure", "lotInUse", "lotWarnings", "seedOnHandG"].map((name) => [`garden/seed#${name}`, GARDEN]),
  ),
  "garden/seedOrders#seedOrders": GARDEN,
  "garden/learnedDays#learnedDays": GARDEN,
  "garden/learnedDays#learnedStages": GARDEN,
  "garden/cropProfile#cropProfile": GARDEN,
  ...Object.fromEntries(
    [
      "clockedVarieties",
      "clockFault",
      "growingYear",
      "inEachHouse",
      "progressByDay",
      "stallCauseOf",
      "thermalStage",
    ].map((name) => [`garden/clocks#${name}`, GARDEN]),
  ),
  "growth/monthly#valueAt": "the inside of monthlyValue and stageEnd",
  "growth/monthly#monthlyValues": "the inside of stageClock",
  "growth/monthly#requireByMonth": "refuses what is out of range",
  "growth/stageDays#requireLength": "refuses what is out of range",
  "growth/stageDays#keepsOrder": "tells the kind of a length",
  "growth/library/crop#libraryLengths": "daysByMonthAt for each stage",
  "garden/setup/alreadyGrowing#reachedRows": ROWS,
  "garden/setup/addCrop#addCrop": GARDEN,
  "garden/setup/addMeter#addMeter": GARDEN,
  "garden/setup/addLabelFeed#addLabelFeed": GARDEN,
  "garden/feedWater#feedWater": GARDEN,
  "garden/solutionAge#drunkSince": GARDEN,
  "garden/solutionAge#solutionAge": GARDEN,
  "garden/setup/addRecipe#addRecipe": GARDEN,
  "garden/setup/addRecipe#addSalt": GARDEN,
  "feed/salts#lotsLeft": ROWS,
  "feed/saltsFile#saltsTable": ROWS,
  "garden/cropMarks#cropMarks": ROWS,
  "garden/cropsFile#cropsTable": ROWS,
  "garden/cropsFile#readCrops": "reads the cells of a file and tells what is wrong in them",
  "garden/cropColumns#cellOf": ROWS,
  "garden/cropColumns#valueOf": "the inside of readCrops",
  "garden/cropColumns#measuresOf": BUILDER,
  "garden/setup/figures#setUpFigures": SOUND,
  "garden/setup/setUp#freeName": ROWS,
  "garden/setup/setUp#setUp": GARDEN,
  "garden/setup/tankSpot#tankSpot": GARDEN,
  "place/told/kinds#toldKind": BUILDER,
  "numeric/leastWhole#leastWhole": BUILDER,
  "feed/missingSalt#missingSalts": "feed/solveRecipe#solveRecipe",
  "feed/recipeWish#amountOf": BUILDER,
  "feed/recipeWish#atStrength": BUILDER,
  "feed/solveForEc#solveForEc": "feed/solveRecipe#solveRecipe",
  "feed/solveRecipe#missSumOf": SOUND,
  "feed/whatLimits#whatLimits": SOUND,
  "garden/recipeProposal#recipeProposal": GARDEN,
  "garden/recipeProposal#saltsFor": GARDEN,
  "garden/recipeProposal#solveAgain": GARDEN,
  "garden/recipeAmounts#firstAmounts": GARDEN,
  "garden/recipeAmounts#recipeSaltsOf": GARDEN,
  "garden/recipeAmounts#solvedWith": GARDEN,
  "garden/recipeAmounts#waterOf": GARDEN,
  "garden/recipeAmounts#wishOf": GARDEN,
  "feed/recipeWish#requireWish": CHECK,
  "numeric/linearProgram#linearProgram": BUILDER,
  "place/fit#fitsIn": BUILDER,
  "place/stillVessel#stillOf": SOUND,
  "place/stillVessel#vesselOf": SOUND,
  "place/fit#sitesIn": BUILDER,
  "place/fit#stepsIn": BUILDER,
  "round/tankItems#tankItems": "round/roundItems#roundItems",
  "round/log#stopOfEntry": SOUND,
  "round/log#isFirst": SOUND,
  "round/log#isEntryValue": CHECK,
  "place/kinds/floodAndMedia#flood": BUILDER,
  "water/lateral#requireLateral": CHECK,
  "water/supply#requireSupply": CHECK,
  "garden/loopPipes#loopPipes": GARDEN,
  "garden/loopPipes#solveBanks": GARDEN,
  "garden/loopPipes#wantedBy": GARDEN,
  "garden/pumpTrial#tryPump": GARDEN,
  "garden/pumpTrial#neededHeadM": GARDEN,
  "garden/pumpTrial#systemCurve": GARDEN,
  "garden/ladderPump#pumpOnPipes": GARDEN,
  "garden/ladderPump#turnsOf": GARDEN,
  "garden/tank#plantNeedOn": GARDEN,
  "water/network/outletLaw#lawOfEmitter": PIPES,
  "water/network/outletLaw#lawOfOpenPipe": PIPES,
  "water/network/pipeLink#pipeLink": PIPES,
  "water/network/pipeLink#lateralChains": PIPES,
  "water/network/pumpLink#pumpLink": PIPES,
  "water/network/solveTree#solveTree": PIPES,
  "water/frictionFactor#frictionTable": PIPES,
  "numeric/rate#newRate": PIPES,
  "water/bedCoverage#requirePlan": CHECK,
  "round/log#plannedFigure": SOUND,
  "round/log#subjectOf": SOUND,
  "feed/tankFigures#figuresOf": SOUND,
  "batches/allocate#soonest": SOUND,
  "batches/shortages#shortages": SOUND,
  "feed/strengthSteps#stockFactor": SOUND,
  "feed/strengthSteps#stockLetters": SOUND,
  "feed/strengthSteps#strengthSteps": SOUND,
};
