import type { StandKind } from "../../place/kinds";
import type { Band, LibraryCrop, LibraryStage } from "./crop";

type Own = Pick<LibraryCrop, "name" | "family" | "unit" | "comesUp" | "seedsPerG" | "pattern" | "stages"> &
  Partial<LibraryCrop>;

const SHALLOW: readonly StandKind[] = [
  "channel-bank",
  "raft-pond",
  "towers",
  "drip-beds",
  "wicking-bed",
  "flood-bench",
];
const DEEP: readonly StandKind[] = ["bucket-line", "drip-beds", "media-bed", "wicking-bed"];
const RACKS: readonly StandKind[] = ["shoots-rack"];

const COMMON = {
  foodSafetySensitive: false,
  seedsPerCell: 1,
  thinTo: 1,
  pelleted: false,
  depthM: 0.005,
  germinatesIn: "either",
  soakH: 0,
  tray: null,
  suitsNot: [],
  kcFrom: "common-practice",
} as const;

const LEAF = {
  ...COMMON,
  kind: "leaf",
  suits: SHALLOW,
  ecMsPerCm: [1, 1.8],
  ph: [5.6, 6.4],
  solutionC: [15, 22],
  airC: [4, 20, 30],
  lightMolPerM2Day: 14,
} as const;

const HERB = { ...LEAF, kind: "herb", ecMsPerCm: [1.2, 2], lightMolPerM2Day: 15 } as const;

const FRUIT = {
  ...COMMON,
  kind: "fruit",
  depthM: 0.01,
  suits: DEEP,
  suitsNot: ["channel-bank"],
  ecMsPerCm: [2, 3],
  ph: [5.6, 6.5],
  solutionC: [18, 24],
  airC: [10, 25, 35],
  lightMolPerM2Day: 22,
} as const;

const ROOT = {
  ...COMMON,
  kind: "root",
  depthM: 0.01,
  suits: ["media-bed", "wicking-bed", "drip-beds"],
  suitsNot: ["channel-bank", "raft-pond", "towers"],
  ecMsPerCm: [1.4, 2.2],
  ph: [6, 6.8],
  solutionC: [12, 22],
  airC: [4, 18, 30],
  lightMolPerM2Day: 15,
} as const;

const TRAY = {
  ...COMMON,
  foodSafetySensitive: true,
  suits: RACKS,
  ecMsPerCm: [0.2, 1],
  ph: [5.8, 6.8],
  solutionC: [14, 22],
  airC: [5, 20, 28],
  lightMolPerM2Day: 8,
} as const;

const middle = ([from, to]: Band) => Math.round(((from + to) / 2) * 100) / 100;
const made = <Group extends Partial<LibraryCrop>>(group: Group, own: Own): LibraryCrop =>
  ({ germination: middle(own.comesUp), ...group, ...own }) as unknown as LibraryCrop;

/** Up in a tray, then close together, then at full distance. */
function threeStages(
  up: Band,
  nursery: Band,
  grow: Band,
  plant: { readonly needLpd: number; readonly kc: number; readonly areaPerPlantM2: number },
): LibraryStage[] {
  return [
    { name: "germinate", days: up, survival: 1, needLpd: 0.005, kc: 0.3, areaPerPlantM2: 0.0018 },
    { name: "nursery", days: nursery, survival: 0.97, needLpd: plant.needLpd / 5, kc: 0.5, areaPerPlantM2: 0.01 },
    { name: "grow", days: grow, survival: 0.96, ...plant },
  ];
}

/** Up in a tray and then out: no nursery between. */
function twoStages(up: Band, grow: Band, plant: Parameters<typeof threeStages>[3]): LibraryStage[] {
  const [germinate, , last] = threeStages(up, up, grow, plant);
  return [germinate!, last!];
}

/** Sown where it is picked. */
function inPlace(days: Band, plant: Parameters<typeof threeStages>[3]): LibraryStage[] {
  return [{ name: "grow", days, survival: 0.9, ...plant }];
}

const once = (keepsDays: number, unitsPerPlant = 1) => ({ kind: "once", unitsPerPlant, keepsDays }) as const;
const cut = (unitsPerPlant: number, cuts: number, daysBetween: number, factor: number, keepsDays: number) =>
  ({ kind: "cut", unitsPerPlant, cuts, daysBetween, factor, keepsDays }) as const;
const picked = (unitsPerPlantWeek: number, weeks: number, keepsDays: number) =>
  ({ kind: "picking", unitsPerPlantWeek, weeks, keepsDays }) as const;
const byWeight = (seedGPerTray: number, yieldRatio: number, blackoutDays: number, lightDays: number) =>
  ({ kind: "weight", seedGPerTray, yieldRatio, germinationOfRatio: 0.95, blackoutDays, lightDays }) as const;
const onTray = (blackoutDays: number, lightDays: number, needLpd: number): LibraryStage[] => [
  {
    name: "grow",
    days: [blackoutDays + lightDays, blackoutDays + lightDays + 2],
    survival: 0.97,
    needLpd,
    kc: 0.5,
    areaPerPlantM2: 0.076,
  },
];

/**
 * Crops that a garden can take over with one press and change afterwards.
 *
 * Figures are common practice, given with their range: what comes up, days from the brightest to the darkest month, EC, pH
 * and temperature bands. Crop coefficients of the last stage marked "fao-56" are the mid-season ones of that paper.
 *
 * @source Allen, Pereira, Raes and Smith 1998, FAO Irrigation and Drainage Paper 56, table 12 (crop coefficients marked so);
 *   all else common practice
 */
export const CROP_LIBRARY: readonly LibraryCrop[] = [
  made(LEAF, {
    name: "Lettuce, heads",
    family: "daisy",
    unit: "heads",
    comesUp: [0.88, 0.98],
    seedsPerG: 850,
    germinatesIn: "light",
    pattern: once(4),
    stages: threeStages([4, 6], [11, 20], [22, 44], { needLpd: 0.16, kc: 1, areaPerPlantM2: 0.05 }),
    kcFrom: "fao-56",
  }),
  made(LEAF, {
    name: "Lettuce, cut leaves",
    family: "daisy",
    unit: "bags",
    comesUp: [0.88, 0.98],
    seedsPerG: 850,
    seedsPerCell: 3,
    thinTo: 2,
    germinatesIn: "light",
    pattern: cut(0.5, 3, 12, 0.85, 4),
    stages: threeStages([4, 6], [9, 16], [16, 32], { needLpd: 0.13, kc: 1, areaPerPlantM2: 0.03 }),
    kcFrom: "fao-56",
  }),
  made(LEAF, {
    name: "Mizuna",
    family: "cabbage",
    unit: "bunches",
    comesUp: [0.85, 0.95],
    seedsPerG: 450,
    seedsPerCell: 2,
    pattern: cut(0.5, 2, 14, 0.8, 6),
    stages: threeStages([3, 4], [8, 14], [17, 30], { needLpd: 0.14, kc: 1, areaPerPlantM2: 0.035 }),
  }),
  made(LEAF, {
    name: "Rocket",
    family: "cabbage",
    unit: "bunches",
    comesUp: [0.85, 0.95],
    seedsPerG: 500,
    seedsPerCell: 3,
    thinTo: 2,
    pattern: cut(0.5, 2, 14, 0.8, 5),
    stages: twoStages([3, 5], [22, 42], { needLpd: 0.12, kc: 1, areaPerPlantM2: 0.03 }),
  }),
  made(LEAF, {
    name: "Spinach",
    family: "goosefoot",
    unit: "bunches",
    comesUp: [0.7, 0.9],
    seedsPerG: 90,
    seedsPerCell: 2,
    depthM: 0.015,
    ecMsPerCm: [1.6, 2.3],
    ph: [5.8, 6.8],
    solutionC: [12, 20],
    airC: [3, 17, 26],
    pattern: cut(0.4, 2, 14, 0.8, 5),
    stages: twoStages([6, 9], [30, 55], { needLpd: 0.13, kc: 1, areaPerPlantM2: 0.03 }),
    kcFrom: "fao-56",
  }),
  made(LEAF, {
    name: "Chard",
    family: "goosefoot",
    unit: "bunches",
    comesUp: [0.75, 0.9],
    seedsPerG: 55,
    depthM: 0.015,
    soakH: 8,
    ecMsPerCm: [1.6, 2.3],
    pattern: picked(0.25, 10, 6),
    stages: threeStages([6, 9], [14, 22], [24, 44], { needLpd: 0.3, kc: 1, areaPerPlantM2: 0.06 }),
  }),
  made(LEAF, {
    name: "Kale",
    family: "cabbage",
    unit: "bunches",
    comesUp: [0.85, 0.95],
    seedsPerG: 300,
    depthM: 0.01,
    ecMsPerCm: [1.4, 2.2],
    pattern: picked(0.25, 12, 7),
    stages: threeStages([4, 6], [18, 28], [30, 50], { needLpd: 0.35, kc: 1, areaPerPlantM2: 0.09 }),
  }),
  made(LEAF, {
    name: "Pak choi",
    family: "cabbage",
    unit: "heads",
    comesUp: [0.85, 0.95],
    seedsPerG: 400,
    depthM: 0.01,
    ecMsPerCm: [1.4, 2.2],
    pattern: once(4),
    stages: threeStages([3, 5], [11, 18], [20, 38], { needLpd: 0.18, kc: 1, areaPerPlantM2: 0.045 }),
  }),
  made(LEAF, {
    name: "Watercress",
    family: "cabbage",
    unit: "bunches",
    comesUp: [0.7, 0.9],
    seedsPerG: 4500,
    seedsPerCell: 5,
    thinTo: 3,
    depthM: 0.001,
    germinatesIn: "light",
    foodSafetySensitive: true,
    suits: ["raft-pond", "channel-bank", "media-bed", "flood-bench"],
    ecMsPerCm: [0.8, 1.8],
    ph: [6.2, 7.2],
    solutionC: [10, 20],
    pattern: cut(0.5, 6, 18, 0.95, 5),
    stages: twoStages([6, 10], [32, 55], { needLpd: 0.15, kc: 1.1, areaPerPlantM2: 0.025 }),
  }),
  made(HERB, {
    name: "Basil",
    family: "mint",
    unit: "bunches",
    comesUp: [0.8, 0.92],
    seedsPerG: 620,
    seedsPerCell: 2,
    solutionC: [18, 25],
    airC: [10, 25, 34],
    pattern: cut(0.45, 3, 14, 0.9, 6),
    stages: threeStages([5, 8], [14, 28], [20, 40], { needLpd: 0.18, kc: 1.1, areaPerPlantM2: 0.04 }),
  }),
  made(HERB, {
    name: "Flat chives",
    family: "onion",
    unit: "bunches",
    comesUp: [0.7, 0.88],
    seedsPerG: 700,
    seedsPerCell: 12,
    thinTo: 6,
    germinatesIn: "dark",
    pattern: cut(0.6, 5, 21, 0.95, 13),
    stages: twoStages([10, 14], [48, 80], { needLpd: 0.2, kc: 1, areaPerPlantM2: 0.04 }),
  }),
  made(HERB, {
    name: "Parsley",
    family: "carrot",
    unit: "bunches",
    comesUp: [0.65, 0.85],
    seedsPerG: 600,
    seedsPerCell: 4,
    thinTo: 2,
    soakH: 12,
    germinatesIn: "dark",
    pattern: cut(0.6, 4, 21, 0.95, 7),
    stages: threeStages([12, 18], [18, 28], [30, 50], { needLpd: 0.18, kc: 1, areaPerPlantM2: 0.04 }),
  }),
  made(HERB, {
    name: "Coriander",
    family: "carrot",
    unit: "bunches",
    comesUp: [0.7, 0.9],
    seedsPerG: 80,
    seedsPerCell: 5,
    thinTo: 3,
    depthM: 0.012,
    germinatesIn: "dark",
    airC: [4, 18, 28],
    pattern: once(5, 0.7),
    stages: twoStages([7, 10], [28, 48], { needLpd: 0.12, kc: 1, areaPerPlantM2: 0.025 }),
  }),
  made(HERB, {
    name: "Mint",
    family: "mint",
    unit: "bunches",
    comesUp: [0.5, 0.8],
    seedsPerG: 12_000,
    seedsPerCell: 5,
    thinTo: 2,
    depthM: 0.001,
    germinatesIn: "light",
    pattern: cut(0.6, 6, 24, 0.95, 6),
    stages: threeStages([10, 14], [28, 42], [30, 50], { needLpd: 0.3, kc: 1.15, areaPerPlantM2: 0.06 }),
    kcFrom: "fao-56",
  }),
  made(HERB, {
    name: "Dill",
    family: "carrot",
    unit: "bunches",
    comesUp: [0.7, 0.88],
    seedsPerG: 700,
    seedsPerCell: 4,
    thinTo: 3,
    germinatesIn: "light",
    pattern: once(4, 0.6),
    stages: twoStages([7, 11], [28, 48], { needLpd: 0.12, kc: 1, areaPerPlantM2: 0.025 }),
  }),
  made(FRUIT, {
    name: "Cherry tomato",
    family: "nightshade",
    unit: "kg",
    comesUp: [0.85, 0.95],
    seedsPerG: 350,
    ecMsPerCm: [2.2, 3.5],
    pattern: picked(0.3, 16, 6),
    stages: threeStages([6, 9], [28, 45], [50, 80], { needLpd: 1.6, kc: 1.15, areaPerPlantM2: 0.4 }),
    kcFrom: "fao-56",
  }),
  made(FRUIT, {
    name: "Long chilli",
    family: "nightshade",
    unit: "kg",
    comesUp: [0.75, 0.9],
    seedsPerG: 160,
    ecMsPerCm: [1.8, 2.8],
    airC: [12, 26, 36],
    pattern: picked(0.15, 16, 10),
    stages: threeStages([9, 14], [35, 50], [60, 90], { needLpd: 1, kc: 1.05, areaPerPlantM2: 0.3 }),
    kcFrom: "fao-56",
  }),
  made(FRUIT, {
    name: "Sweet pepper",
    family: "nightshade",
    unit: "kg",
    comesUp: [0.8, 0.92],
    seedsPerG: 140,
    ecMsPerCm: [1.8, 2.8],
    airC: [12, 25, 35],
    pattern: picked(0.25, 14, 9),
    stages: threeStages([9, 13], [35, 50], [65, 95], { needLpd: 1.2, kc: 1.05, areaPerPlantM2: 0.35 }),
    kcFrom: "fao-56",
  }),
  made(FRUIT, {
    name: "Cucumber",
    family: "gourd",
    unit: "pieces",
    comesUp: [0.88, 0.97],
    seedsPerG: 35,
    depthM: 0.015,
    ecMsPerCm: [1.8, 2.6],
    airC: [12, 26, 36],
    pattern: picked(3, 8, 6),
    stages: threeStages([4, 6], [14, 24], [28, 45], { needLpd: 2, kc: 1, areaPerPlantM2: 0.45 }),
    kcFrom: "fao-56",
  }),
  made(FRUIT, {
    name: "Aubergine",
    family: "nightshade",
    unit: "kg",
    comesUp: [0.8, 0.92],
    seedsPerG: 230,
    airC: [13, 26, 36],
    pattern: picked(0.3, 12, 7),
    stages: threeStages([8, 12], [35, 50], [60, 90], { needLpd: 1.4, kc: 1.05, areaPerPlantM2: 0.4 }),
    kcFrom: "fao-56",
  }),
  made(FRUIT, {
    name: "Okra",
    family: "mallow",
    unit: "kg",
    comesUp: [0.7, 0.88],
    seedsPerG: 17,
    depthM: 0.02,
    soakH: 12,
    airC: [15, 28, 38],
    pattern: picked(0.12, 12, 3),
    stages: threeStages([5, 9], [14, 24], [42, 65], { needLpd: 1, kc: 1, areaPerPlantM2: 0.18 }),
  }),
  made(FRUIT, {
    name: "Strawberry",
    family: "rose",
    unit: "kg",
    comesUp: [0.6, 0.85],
    seedsPerG: 1500,
    depthM: 0.001,
    germinatesIn: "light",
    suits: ["towers", "channel-bank", "drip-beds", "bucket-line", "wicking-bed"],
    suitsNot: [],
    ecMsPerCm: [1, 1.8],
    ph: [5.6, 6.4],
    solutionC: [14, 22],
    airC: [5, 20, 30],
    lightMolPerM2Day: 18,
    pattern: picked(0.03, 16, 3),
    stages: threeStages([16, 24], [50, 70], [70, 110], { needLpd: 0.25, kc: 0.85, areaPerPlantM2: 0.06 }),
    kcFrom: "fao-56",
  }),
  made(FRUIT, {
    name: "Bush bean",
    family: "pea",
    unit: "kg",
    comesUp: [0.85, 0.95],
    seedsPerG: 4,
    depthM: 0.03,
    ecMsPerCm: [1.6, 2.4],
    pattern: picked(0.08, 4, 5),
    stages: inPlace([52, 75], { needLpd: 0.4, kc: 1.05, areaPerPlantM2: 0.06 }),
    kcFrom: "fao-56",
  }),
  made(ROOT, {
    name: "Radish",
    family: "cabbage",
    unit: "bunches",
    comesUp: [0.88, 0.96],
    seedsPerG: 100,
    pattern: once(6, 0.1),
    stages: inPlace([26, 50], { needLpd: 0.05, kc: 0.9, areaPerPlantM2: 0.005 }),
    kcFrom: "fao-56",
  }),
  made(ROOT, {
    name: "Carrot",
    family: "carrot",
    unit: "bunches",
    comesUp: [0.7, 0.88],
    seedsPerG: 850,
    pattern: once(14, 0.12),
    stages: inPlace([75, 120], { needLpd: 0.05, kc: 1.05, areaPerPlantM2: 0.004 }),
    kcFrom: "fao-56",
  }),
  made(ROOT, {
    name: "Beetroot",
    family: "goosefoot",
    unit: "bunches",
    comesUp: [0.75, 0.9],
    seedsPerG: 60,
    depthM: 0.015,
    soakH: 8,
    pattern: once(14, 0.25),
    stages: inPlace([60, 100], { needLpd: 0.1, kc: 1.05, areaPerPlantM2: 0.012 }),
    kcFrom: "fao-56",
  }),
  made(LEAF, {
    name: "Viola flowers",
    family: "violet",
    kind: "flower",
    unit: "punnets",
    comesUp: [0.65, 0.85],
    seedsPerG: 800,
    depthM: 0.003,
    germinatesIn: "dark",
    airC: [3, 16, 26],
    pattern: picked(0.25, 12, 6),
    stages: threeStages([9, 14], [28, 42], [30, 50], { needLpd: 0.15, kc: 1, areaPerPlantM2: 0.03 }),
  }),
  made(TRAY, {
    name: "Sunflower shoots",
    family: "daisy",
    kind: "shoots",
    unit: "kg",
    comesUp: [0.9, 0.98],
    seedsPerG: 17,
    soakH: 8,
    germinatesIn: "dark",
    pattern: once(3, 0.35),
    tray: byWeight(90, 4, 4, 5),
    stages: onTray(4, 5, 0.25),
  }),
  made(TRAY, {
    name: "Radish shoots",
    family: "cabbage",
    kind: "shoots",
    unit: "kg",
    comesUp: [0.9, 0.98],
    seedsPerG: 100,
    germinatesIn: "dark",
    pattern: once(3, 0.17),
    tray: byWeight(28, 6, 3, 4),
    stages: onTray(3, 4, 0.2),
  }),
  made(TRAY, {
    name: "Triticale fodder",
    family: "grass",
    kind: "fodder",
    unit: "kg",
    foodSafetySensitive: false,
    comesUp: [0.85, 0.96],
    seedsPerG: 25,
    soakH: 12,
    pattern: once(2, 2.4),
    tray: byWeight(400, 6, 2, 5),
    stages: onTray(2, 5, 0.6),
  }),
];
