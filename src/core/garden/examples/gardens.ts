import { PLAIN_PIPE } from "../../water/loopPump";
import { METRIC } from "../../units/dimensions";
import type { ExampleGarden } from "./example";

const DAILY = [1, 2, 3, 4, 5, 6, 7];
const GALLON = 3.785411784;
const continuous = { kind: "continuous" } as const;

const SILL: ExampleGarden = {
  name: "Sill",
  about: "A windowsill with one tower of five tiers, three plants on each",
  water: "18 L under it, a pump of 400 L/h and 1.4 m, 20 min every 3 h by day; a two-part bottle by mL per litre",
  wanted: "basil, flat chives and mizuna for two people, no orders",
  place: "A kitchen window",
  latitudeDeg: 45,
  climate: {
    elevationM: 150,
    nearSea: false,
    highestCByMonth: [6, 9, 14, 18, 23, 27, 30, 30, 25, 18, 11, 7],
    lowestCByMonth: [-2, -1, 3, 7, 12, 15, 18, 17, 13, 9, 3, -1],
    humidityByMonth: [0.83, 0.78, 0.72, 0.7, 0.7, 0.68, 0.66, 0.68, 0.73, 0.8, 0.84, 0.85],
    windMPerSByMonth: [1.5, 1.6, 1.9, 2, 1.8, 1.7, 1.7, 1.6, 1.5, 1.5, 1.5, 1.4],
    rainMmByMonth: [45, 45, 55, 70, 80, 85, 70, 80, 75, 80, 75, 55],
    wetDaysByMonth: [7, 6, 7, 9, 10, 9, 7, 8, 7, 8, 9, 7],
  },
  timeZone: "Europe/Paris",
  units: METRIC,
  sowWeekdays: DAILY,
  setup: {
    place: { kind: "windowsill", name: "Kitchen window", lengthM: 1.2, widthM: 0.5 },
    stands: [
      { told: "towers", figures: { lines: 1, tiers: 5, plants: 3 }, young: false },
      { told: "seedTrays", figures: { lines: 1, trays: 1, cells: 24 }, young: true },
    ],
    tank: { litres: 18, underOutletsM: 1 },
    pump: { flowAtNoLiftLph: 400, greatestLiftM: 1.4 },
    timer: { kind: "every", everyMin: 180, runMin: 20, fromMin: 420, toMin: 1320 },
    system: "metric",
  },
  source: { name: "Tap", kind: "mains", priority: 1, allowanceLpd: 200, pricePerM3: 3 },
  recipe: null,
  crops: [
    { library: "Basil", growing: { plants: 5, daysOld: 18 } },
    { library: "Flat chives", growing: { plants: 5, daysOld: 75 } },
    { library: "Mizuna", growing: { plants: 5, daysOld: 10 } },
  ],
  orders: [],
  notes: ["Turned the tower by a quarter.", "The basil shows its first true leaves."],
};

const COURTYARD: ExampleGarden = {
  name: "Courtyard row",
  about: "Nine buckets of coir in a courtyard, south of the equator, in US gallons and °F",
  water:
    "mains behind a regulator, two half-gallon drippers a bucket, 12 min three times a day; a bag by teaspoons per gallon",
  wanted: "cherry tomato and long chilli, picked weekly",
  place: "A courtyard",
  latitudeDeg: -35,
  climate: {
    elevationM: 40,
    nearSea: true,
    highestCByMonth: [28, 28, 26, 22, 19, 16, 15, 16, 19, 21, 24, 26],
    lowestCByMonth: [17, 17, 15, 12, 9, 7, 6, 7, 9, 11, 13, 15],
    humidityByMonth: [0.66, 0.68, 0.7, 0.73, 0.77, 0.79, 0.78, 0.75, 0.71, 0.69, 0.67, 0.66],
    windMPerSByMonth: [3.2, 3, 2.8, 2.5, 2.3, 2.4, 2.5, 2.8, 3.1, 3.3, 3.3, 3.3],
    rainMmByMonth: [75, 80, 85, 75, 60, 55, 50, 50, 55, 75, 75, 80],
    wetDaysByMonth: [7, 6, 7, 6, 6, 6, 6, 6, 6, 8, 7, 7],
  },
  timeZone: "America/Montevideo",
  units: { system: "us", ec: "mS/cm", temperature: "°F", currency: "$" },
  sowWeekdays: DAILY,
  setup: {
    place: { kind: "yard", name: "Courtyard", lengthM: 6.096, widthM: 2.4384 },
    stands: [
      {
        told: "buckets",
        figures: { lines: 9, volumeL: 4 * GALLON, plants: 1, emitters: 2, emitterLph: 0.5 * GALLON },
        young: false,
      },
      { told: "seedTrays", figures: { lines: 1, trays: 1, cells: 50 }, young: true },
    ],
    tank: { litres: 30 * GALLON, underOutletsM: 0 },
    pump: null,
    timer: { kind: "times", timesMin: [480, 780, 1020], runMin: 12 },
    system: "us",
  },
  loop: {
    pump: {
      kind: "mains",
      ...{ supplyHeadM: 30, setHeadM: 12, regulatorLeastLph: 15, regulatorGreatestLph: 1200, regulatorLossM: 2 },
      ...{ highestOutletM: 0.4, headWantedM: 0, pipeLengthM: 6, boreMm: 15.2, elbows: 2, valves: 1 },
      ...{ ...PLAIN_PIPE, fittingsK: 1.5, nonReturnValve: false },
    },
  },
  source: { name: "Mains", kind: "mains", priority: 1, allowanceLpd: 100 * GALLON, pricePerM3: 2, pressureM: 30 },
  recipe: null,
  crops: [
    { library: "Cherry tomato" },
    // Kept in its pot until it flowers.
    {
      library: "Long chilli",
      days: { germinate: [9, 14], nursery: [60, 80], grow: [30, 45] },
      own: { pattern: { kind: "picking", unitsPerPlantWeek: 0.15, weeks: 16, keepsDays: 6 } },
    },
  ],
  orders: [
    { customer: "The house", crop: "Cherry tomato", weekdays: [6], quantity: 0.3 },
    { customer: "The house", crop: "Long chilli", weekdays: [6], quantity: 0.15 },
  ],
  notes: ["One dripper was blocked: cleaned.", "Side shoots taken out."],
};

const BACK_BEDS: ExampleGarden = {
  name: "Back beds",
  about: "Three raised beds and a wicking bed with a float, for a household of five",
  water: "a 1000 L barrel on a 0.8 m stand, drip lines every 0.3 m, compost and a weak feed",
  wanted: "lettuce, chives, okra under glass and strawberries, a few portions a week",
  place: "Behind a house",
  latitudeDeg: 51,
  climate: {
    elevationM: 60,
    nearSea: false,
    highestCByMonth: [8, 8, 11, 14, 18, 21, 23, 23, 20, 15, 11, 8],
    lowestCByMonth: [2, 2, 3, 5, 8, 11, 13, 13, 11, 8, 5, 3],
    humidityByMonth: [0.85, 0.81, 0.77, 0.73, 0.72, 0.72, 0.72, 0.74, 0.78, 0.83, 0.86, 0.87],
    windMPerSByMonth: [3, 3, 3, 2.8, 2.6, 2.4, 2.3, 2.3, 2.4, 2.7, 2.8, 2.9],
    rainMmByMonth: [60, 50, 45, 45, 50, 50, 50, 60, 60, 70, 65, 65],
    wetDaysByMonth: [12, 10, 10, 9, 9, 9, 8, 9, 9, 11, 12, 12],
  },
  timeZone: "Europe/London",
  units: { ...METRIC, currency: "£" },
  sowWeekdays: DAILY,
  setup: {
    place: { kind: "glasshouse", name: "Back beds", lengthM: 9, widthM: 5 },
    stands: [
      {
        told: "beds",
        figures: { lines: 3, lengthM: 3.2, widthM: 1.1, spacingM: 0.3, emitterHeadM: 0.5 },
        young: false,
      },
      {
        told: "wickingBeds",
        figures: { lines: 1, lengthM: 2.4, widthM: 1, spacingM: 0.3, floatRatedLph: 240, headAtFloatM: 0.6 },
        young: false,
      },
      { told: "seedTrays", figures: { lines: 1, trays: 2, cells: 84 }, young: true },
    ],
    tank: { litres: 1000, underOutletsM: -0.8 },
    pump: null,
    timer: { kind: "times", timesMin: [420, 1140], runMin: 15 },
    system: "metric",
  },
  loop: {
    pump: {
      ...{ kind: "gravity", lowestWaterM: 0.85, waterSinksM: 1, highestOutletM: 0.05, headWantedM: 0 },
      ...{
        pipeLengthM: 6,
        boreMm: 20.4,
        elbows: 2,
        valves: 1,
        fittingsK: 1.5,
        ...PLAIN_PIPE,
        nonReturnValve: false,
      },
    },
  },
  source: { name: "Roof", kind: "rain", priority: 1, roofAreaM2: 40 },
  store: { name: "Barrel", capacityL: 1000, storedL: 800 },
  recipe: "Leafy greens, recirculating",
  crops: [
    { library: "Lettuce, heads" },
    { library: "Flat chives", growing: { plants: 8, daysOld: 90 } },
    { library: "Okra", growing: { plants: 6, daysOld: 80 } },
    { library: "Strawberry", growing: { plants: 10, daysOld: 200 } },
  ],
  orders: [{ customer: "The household", crop: "Lettuce, heads", weekdays: [3, 6], quantity: 3 }],
  cans: { stand: "Beds", line: 2, durationS: 300, volumesMl: [143, 141, 142, 138, 140, 139, 141, 137, 138, 136] },
  notes: ["Mulched with compost.", "Slugs at the lettuce: four picked off."],
};

const FRIDAY: ExampleGarden = {
  name: "Friday house",
  about: "A film tunnel with nursery and finishing channels in runs of two",
  water: "a 400 L tank, a pump of 3000 L/h and 3 m, stocks A and B by hand at 1:125",
  wanted: "45 heads of lettuce and 20 bunches of mizuna on Fridays",
  place: "At the edge of a village",
  latitudeDeg: 40,
  climate: {
    elevationM: 620,
    nearSea: false,
    highestCByMonth: [10, 12, 16, 19, 24, 29, 33, 33, 28, 21, 14, 10],
    lowestCByMonth: [0, 1, 4, 6, 10, 15, 18, 18, 14, 9, 4, 1],
    humidityByMonth: [0.78, 0.71, 0.62, 0.6, 0.55, 0.48, 0.42, 0.44, 0.53, 0.66, 0.75, 0.79],
    windMPerSByMonth: [1.8, 2, 2.2, 2.3, 2.1, 2.1, 2.2, 2, 1.8, 1.7, 1.7, 1.7],
    rainMmByMonth: [35, 35, 30, 45, 50, 22, 12, 11, 25, 60, 55, 50],
    wetDaysByMonth: [6, 6, 5, 7, 8, 3, 2, 2, 3, 7, 7, 7],
  },
  timeZone: "Europe/Madrid",
  units: METRIC,
  sowWeekdays: DAILY,
  setup: {
    place: { kind: "film tunnel", name: "Friday house", lengthM: 9, widthM: 5 },
    stands: [
      { told: "seedTrays", figures: { lines: 3, trays: 2, cells: 84 }, young: true },
      { told: "channels", figures: { lines: 6, lengthM: 2, spacingM: 0.1, inSeries: 2 }, young: true },
      { told: "channels", figures: { lines: 14, lengthM: 4, spacingM: 0.22, inSeries: 2 }, young: false },
    ],
    tank: { litres: 400, underOutletsM: 0.6 },
    pump: { flowAtNoLiftLph: 3000, greatestLiftM: 3 },
    timer: continuous,
    system: "metric",
  },
  loop: { feeding: "stocks", stocks: 2, ratioR: 125 },
  source: { name: "Well", kind: "well", priority: 1, flowLph: 300, hoursPerDay: 6 },
  recipe: "Leafy greens, recirculating",
  crops: [
    {
      library: "Lettuce, heads",
      days: { germinate: [4, 5], nursery: [11, 13], grow: [18, 21] },
      own: { pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 1 } },
    },
    // Sown in clumps, straight from the tray into the channel, cut once.
    {
      library: "Mizuna",
      days: { germinate: [10, 13], grow: [16, 20] },
      own: { seedsPerCell: 6, thinTo: 4, pattern: { kind: "once", unitsPerPlant: 1, keepsDays: 1 } },
    },
  ],
  orders: [
    { customer: "Friday market", crop: "Lettuce, heads", weekdays: [5], quantity: 45 },
    { customer: "Friday market", crop: "Mizuna", weekdays: [5], quantity: 20 },
  ],
  notes: ["Cleaned the return filter.", "Market sold out at noon."],
};

const TRAY_ROOM: ExampleGarden = {
  name: "Tray room",
  about: "A shed with two racks of four shelves, three trays on each, under lamps for 14 h",
  water: "flooded or watered by hand from a 120 L tank",
  wanted: "sunflower and radish shoots on Wednesdays and Saturdays; triticale fodder for four geese",
  place: "A shed",
  latitudeDeg: 56,
  climate: {
    elevationM: 30,
    nearSea: true,
    highestCByMonth: [5, 6, 8, 11, 15, 18, 20, 19, 16, 12, 8, 6],
    lowestCByMonth: [0, 0, 1, 3, 6, 9, 11, 11, 9, 6, 3, 1],
    humidityByMonth: [0.86, 0.83, 0.79, 0.76, 0.75, 0.76, 0.78, 0.79, 0.81, 0.84, 0.86, 0.87],
    windMPerSByMonth: [4.2, 4, 3.8, 3.3, 3, 2.9, 2.8, 2.9, 3.2, 3.7, 3.9, 4],
    rainMmByMonth: [70, 50, 50, 40, 50, 60, 70, 70, 60, 75, 65, 70],
    wetDaysByMonth: [13, 10, 11, 9, 10, 10, 11, 11, 11, 13, 12, 12],
  },
  timeZone: "Europe/Copenhagen",
  units: { ...METRIC, currency: "kr" },
  sowWeekdays: DAILY,
  setup: {
    place: { kind: "shed", name: "Tray room", lengthM: 4, widthM: 3 },
    stands: [
      { told: "shootTrays", figures: { lines: 4, trays: 3 }, young: false },
      { told: "shootTrays", figures: { lines: 4, trays: 3 }, young: false },
    ],
    tank: null,
    pump: null,
    timer: continuous,
    system: "metric",
  },
  source: { name: "Tap", kind: "mains", priority: 1, allowanceLpd: 300, pricePerM3: 4 },
  recipe: null,
  crops: [
    // Cut on the day itself or the day after.
    { library: "Sunflower shoots", own: { pattern: { kind: "once", unitsPerPlant: 0.35, keepsDays: 1 } } },
    { library: "Radish shoots", own: { pattern: { kind: "once", unitsPerPlant: 0.17, keepsDays: 1 } } },
    { library: "Triticale fodder", own: { pattern: { kind: "once", unitsPerPlant: 2.4, keepsDays: 1 } } },
  ],
  orders: [
    { customer: "Kitchens", crop: "Sunflower shoots", weekdays: [3, 6], quantity: 0.35 },
    { customer: "Kitchens", crop: "Radish shoots", weekdays: [3, 6], quantity: 0.15 },
    { customer: "Four geese", crop: "Triticale fodder", weekdays: [1, 2, 3, 4, 5, 6, 7], quantity: 2 },
  ],
  notes: ["Lamps on from 6:00 to 20:00.", "A mouldy tray thrown out; trays scrubbed."],
};

const NET_FIELD: ExampleGarden = {
  name: "Net field",
  about: "A shade net with six beds of 16 m, two drip lines on each",
  water: "a well of 1200 L/h for 4 h a day, an injector at 1:200",
  wanted: "basil, okra, long chilli and mizuna for a stall on Sundays and a canteen on weekdays",
  place: "Below a hill",
  latitudeDeg: 14,
  climate: {
    elevationM: 90,
    nearSea: false,
    highestCByMonth: [33, 35, 37, 38, 37, 34, 31, 31, 32, 34, 34, 33],
    lowestCByMonth: [17, 19, 22, 25, 26, 25, 23, 23, 23, 23, 20, 17],
    humidityByMonth: [0.34, 0.31, 0.3, 0.38, 0.5, 0.65, 0.76, 0.8, 0.77, 0.66, 0.47, 0.39],
    windMPerSByMonth: [2.5, 2.6, 2.6, 2.5, 2.5, 2.4, 2.1, 1.8, 1.6, 1.7, 2, 2.3],
    rainMmByMonth: [1, 1, 2, 8, 35, 95, 180, 220, 150, 45, 4, 1],
    wetDaysByMonth: [0.1, 0.1, 0.3, 1, 4, 8, 13, 15, 11, 4, 0.5, 0.1],
  },
  timeZone: "Africa/Dakar",
  units: METRIC,
  sowWeekdays: DAILY,
  setup: {
    place: { kind: "net house", name: "Net field", lengthM: 18, widthM: 10 },
    stands: [
      {
        told: "beds",
        figures: { lines: 6, lengthM: 16, widthM: 0.9, spacingM: 0.3, emitterLph: 1.1, emitterEveryM: 0.2 },
        young: false,
      },
      { told: "seedTrays", figures: { lines: 4, trays: 4, cells: 84 }, young: true },
    ],
    tank: { litres: 2000, underOutletsM: 0 },
    pump: { flowAtNoLiftLph: 4000, greatestLiftM: 30 },
    timer: { kind: "times", timesMin: [390, 990], runMin: 25 },
    system: "metric",
  },
  loop: { feeding: "injector", stocks: 2, ratioR: 200, injectorLeastLph: 50, injectorGreatestLph: 3000 },
  source: { name: "Well", kind: "well", priority: 1, flowLph: 1200, hoursPerDay: 4 },
  recipe: "Fruiting crops",
  shelfG: 120_000,
  crops: [{ library: "Basil" }, { library: "Okra" }, { library: "Long chilli" }, { library: "Mizuna" }],
  orders: [
    { customer: "Sunday stall", crop: "Basil", weekdays: [7], quantity: 12 },
    { customer: "Sunday stall", crop: "Okra", weekdays: [7], quantity: 5 },
    { customer: "Sunday stall", crop: "Long chilli", weekdays: [7], quantity: 4 },
    { customer: "Canteen", crop: "Mizuna", weekdays: [1, 3, 5], quantity: 6 },
    { customer: "Canteen", crop: "Okra", weekdays: [2, 4], quantity: 2 },
  ],
  notes: ["Flushed the drip lines.", "Stall sold all the basil by ten."],
};

/** Six small gardens, made up; each shows another unit or custom. */
export const EXAMPLE_GARDENS: readonly ExampleGarden[] = [SILL, COURTYARD, BACK_BEDS, FRIDAY, TRAY_ROOM, NET_FIELD];
