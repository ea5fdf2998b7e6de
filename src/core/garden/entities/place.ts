import { STAND_KINDS, STAND_MODELS, type StandSpec } from "../../place/kinds";
import { choiceField, entity, numberField, textField, unionField } from "./field";

export const HOUSE = entity({
  table: "house",
  label: "House",
  right: "plan",
  placed: true,
  unique: ["name"],
  fields: [
    textField("name", "Name"),
    numberField("lengthM", "Length", "length", 0.5, 500),
    numberField("widthM", "Width", "length", 0.5, 500),
    numberField("heightM", "Height", "length", 0.3, 30),
    choiceField("cover", "Cover", ["net", "film", "glass", "polycarbonate", "open", "solid"], {
      open: "open, no walls",
      solid: "solid roof and walls",
    }),
    numberField("lightThrough", "Light that the cover lets through", "share", 0, 1, {
      nullable: true,
      initial: null,
      hint: "empty: as its cover usually does; shade comes on top",
    }),
    numberField("shadeShare", "Shade", "share", 0, 1, { initial: 0, hint: "what the net or paint keeps out" }),
    numberField("warmerByDayC", "Warmer than outside by day", "degrees", -20, 40, { initial: 0 }),
    numberField("warmerByNightC", "Warmer than outside at night", "degrees", -20, 40, { initial: 0 }),
    numberField("heatedToC", "Heated to at least", "temperature", -10, 40, {
      nullable: true,
      initial: null,
      hint: "empty: not heated",
    }),
    numberField("ventedAtC", "Vented or cooled to at most", "temperature", 0, 60, {
      nullable: true,
      initial: null,
      hint: "never under the air outside, unless it is cooled",
    }),
    numberField("lampsFromMin", "Lamps from", "clock", 0, 1439, { nullable: true, initial: null }),
    numberField("lampsToMin", "Lamps until", "clock", 1, 1440, {
      nullable: true,
      initial: null,
      hint: "both empty: no lamps",
    }),
    numberField("lampsUmolPerM2S", "Light of the lamps on the leaves, µmol/m² a second", "ratio", 0, 3000, {
      nullable: true,
      initial: null,
      column: "lamps_umol_per_m2_s",
      hint: "of the lamps that are on between these hours; by a meter, or the label at that height",
    }),
    choiceField("roof", "Roof", ["flat", "gable", "round"], { gable: "gable, with a ridge" }, { initial: "flat" }),
    numberField("ridgeM", "Ridge over the ground", "length", 0.3, 60, {
      nullable: true,
      initial: null,
      hint: "of a gable or round roof; its height above is then that of the walls",
    }),
    numberField("uWPerM2K", "Heat through the cover (U), W/m² and degree", "ratio", 0.1, 20, {
      nullable: true,
      initial: null,
      column: "u_w_per_m2_k",
      hint: "empty: one film 6.5, double film 4, glass 6, twin-wall 3.3",
    }),
    numberField("airChangesPerHour", "Air changes an hour when shut", "ratio", 0, 60, {
      initial: 1,
      hint: "tight 0.5, usual 1, leaky 2",
    }),
    numberField("heaterKw", "Heater, kW", "ratio", 0, 10_000, { nullable: true, initial: null }),
    numberField("roofVentsM2", "Roof vents", "area", 0, 100_000, { nullable: true, initial: null }),
    numberField("sideVentsM2", "Side vents and doors", "area", 0, 100_000, { nullable: true, initial: null }),
    numberField("pricePerKwh", "Price of a kWh of heat or light", "money", 0, 1000, { nullable: true, initial: null }),
    numberField("xM", "From the left of the garden", "length", 0, 10_000, { initial: 0 }),
    numberField("yM", "From its top", "length", 0, 10_000, { initial: 0 }),
  ],
});

const MONTHLY = { fewest: 12, most: 12 } as const;
const UNTOLD = { nullable: true, initial: null } as const;

/** What the weather of a place is like, month by month. */
export const CLIMATE = entity({
  table: "climate",
  label: "Climate",
  right: "plan",
  fields: [
    numberField("elevationM", "Height over the sea", "length", -450, 5500, { initial: 0 }),
    { type: "switch", name: "nearSea", label: "By the sea", initial: false },
    {
      type: "numbers",
      name: "highestCByMonth",
      column: "highest_c_by_month",
      label: "Warmest of the day",
      dimension: "temperature",
      least: -60,
      greatest: 60,
      ...MONTHLY,
      ...UNTOLD,
    },
    {
      type: "numbers",
      name: "lowestCByMonth",
      column: "lowest_c_by_month",
      label: "Coldest of the night",
      dimension: "temperature",
      least: -70,
      greatest: 50,
      ...MONTHLY,
      ...UNTOLD,
    },
    {
      type: "numbers",
      name: "humidityByMonth",
      label: "Humidity of the air",
      dimension: "share",
      least: 0.01,
      greatest: 1,
      ...MONTHLY,
      ...UNTOLD,
    },
    {
      type: "numbers",
      name: "windMPerSByMonth",
      column: "wind_m_per_s_by_month",
      label: "Wind, 2 m over the ground",
      dimension: "wind",
      least: 0,
      greatest: 40,
      ...MONTHLY,
      ...UNTOLD,
    },
    {
      type: "numbers",
      name: "rainMmByMonth",
      label: "Rain in the month",
      dimension: "rain",
      least: 0,
      greatest: 5000,
      ...MONTHLY,
      ...UNTOLD,
    },
    {
      type: "numbers",
      name: "wetDaysByMonth",
      label: "Days with rain",
      dimension: "count",
      least: 0,
      greatest: 31,
      ...MONTHLY,
      ...UNTOLD,
    },
  ],
  order: [
    {
      least: "lowestCByMonth",
      greatest: "highestCByMonth",
      words: "In a month the coldest of the night is over the warmest of the day: have they changed places?",
    },
  ],
});

export const GROWING_AREA = entity({
  table: "growing_area",
  label: "Growing area",
  right: "plan",
  placed: true,
  unique: ["name"],
  fields: [
    textField("name", "Name", { hint: "germination rack, nursery, leaf bank …" }),
    numberField("cleaningDays", "Cleaning between crops", "days", 0, 60, { initial: 0, whole: true }),
  ],
});

/** What a stand is measured by, by its kind. */
export const STAND_SPEC = unionField<StandSpec>()({
  name: "spec",
  label: "Kind of stand",
  kinds: Object.fromEntries(STAND_KINDS.map((kind) => [kind, STAND_MODELS[kind].measures])),
});

export const STAND = entity({
  table: "stand",
  label: "Stand",
  right: "plan",
  placed: true,
  unique: ["houseId", "name"],
  fields: [
    { type: "reference", name: "houseId", label: "House", to: "house" },
    textField("name", "Name"),
    { type: "reference", name: "growingAreaId", label: "Used for", to: "growing_area" },
    {
      type: "reference",
      name: "loopId",
      label: "Watered by",
      to: "loop",
      nullable: true,
      hint: "a loop is a tank and what it waters",
    },
    STAND_SPEC,
    numberField("xM", "From the left of the house", "length", 0, 500),
    numberField("yM", "From its top", "length", 0, 500),
    { type: "switch", name: "turned", label: "Turned by 90°", initial: false },
    numberField("groundM", "Its ground lies higher than that of the others by", "length", -50, 50, {
      initial: 0,
      hint: "on a slope or terraces; less than 0 where it lies lower",
    }),
    numberField("matC", "Heat mat set to", "temperature", 5, 45, {
      nullable: true,
      initial: null,
      hint: "empty: none; it warms, it does not cool",
    }),
    numberField("lampsUmolPerM2S", "Lamps of its own: light on the leaves, µmol/m² a second", "ratio", 0, 3000, {
      nullable: true,
      initial: null,
      column: "lamps_umol_per_m2_s",
    }),
    numberField("lampHours", "Hours a day that its lamps are on", "count", 0, 24, {
      nullable: true,
      initial: null,
    }),
    { type: "switch", name: "domed", label: "Under a dome or in a humid cabinet", initial: false },
  ],
});
