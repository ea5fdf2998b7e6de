import { choiceField, entity, numberField, textField } from "./field";

export const CUSTOMER = entity({
  table: "customer",
  label: "Customer",
  right: "plan",
  unique: ["name"],
  fields: [textField("name", "Name")],
});

export const ORDER = entity({
  table: "order_line",
  label: "Order",
  right: "plan",
  fields: [
    { type: "reference", name: "customerId", label: "For", to: "customer" },
    { type: "reference", name: "varietyId", label: "Variety", to: "variety" },
    numberField("weekday", "Every", "count", 1, 7, { whole: true }),
    numberField("quantity", "Quantity each time", "ratio", 0.001, 1_000_000),
    { type: "day", name: "from", label: "From", column: "from_day" },
    { type: "day", name: "to", label: "Until", column: "to_day" },
    choiceField(
      "matters",
      "When not all can be met",
      ["first", "usual", "spare"],
      { first: "this one goes first", usual: "as others", spare: "this one waits" },
      { initial: "usual" },
    ),
  ],
  order: [{ least: "from", greatest: "to", words: "Until lies before From" }],
});

export const BATCH = entity({
  table: "batch",
  label: "Batch",
  right: "plan",
  fields: [
    { type: "reference", name: "varietyId", label: "Variety", to: "variety" },
    { type: "day", name: "sowDay", label: "Sow on" },
    numberField("cells", "Cells", "count", 1, 1_000_000, { whole: true }),
    numberField("targetPlants", "Plants wanted at the end", "count", 1, 1_000_000, {
      whole: true,
      atMost: { measure: "cells", times: 1, words: "they must not be more than the cells sown" },
    }),
    { type: "note", name: "note", label: "Note", initial: "" },
    { type: "switch", name: "pinned", label: "Pinned: no solved plan moves or drops it", initial: false },
    { type: "day", name: "clearedDay", label: "Cleared on", nullable: true, initial: null },
  ],
  order: [{ least: "sowDay", greatest: "clearedDay", words: "Cleared on lies before Sow on" }],
});

/** A stage that really began. */
export const BATCH_STAGE = entity({
  table: "batch_stage",
  label: "Stage of a batch",
  right: "log",
  unique: ["batchId", "position"],
  fields: [
    { type: "reference", name: "batchId", label: "Batch", to: "batch", isPart: true },
    numberField("position", "Stage, counted from 0", "count", 0, 9, { whole: true }),
    { type: "day", name: "day", label: "Begun on", column: "begun_on" },
    numberField("plants", "Plants", "count", 0, 1_000_000, { whole: true }),
    numberField("countedOf", "Seedlings counted out of, seeds", "count", 1, 1_000_000, {
      ...{ nullable: true, initial: null, whole: true },
    }),
    numberField("countedUp", "Seedlings up", "count", 0, 1_000_000, {
      ...{ nullable: true, initial: null, whole: true },
      atMost: { measure: "countedOf", times: 1, words: "no more can be up than seeds were looked at" },
    }),
    { type: "day", name: "countedOn", label: "Counted on", nullable: true, initial: null },
    { type: "day", name: "readyOn", label: "Found ready on", nullable: true, initial: null },
    { type: "reference", name: "logId", label: "Entry of the log", to: "log_entry", nullable: true, initial: null },
  ],
  order: [{ least: "day", greatest: "readyOn", words: "Found ready lies before the stage began" }],
});

/** How a place came to be kept. */
export const PLACE_HOW = ["hand", "plan", "stood"] as const;

/** Sites of a line that are kept for a stage of a batch, on the days for which they were kept, its cleaning included. */
export const BATCH_PLACE = entity({
  table: "batch_place",
  label: "Place of a batch",
  right: "plan",
  follows: true,
  fields: [
    { type: "reference", name: "batchId", label: "Batch", to: "batch", isPart: true },
    numberField("stage", "Stage, counted from 0", "count", 0, 9, { whole: true }),
    { type: "reference", name: "standId", label: "Stand", to: "stand", isPart: true },
    numberField("line", "Line", "count", 1, 10_000, { whole: true }),
    numberField("firstSite", "First site", "count", 1, 1_000_000, { whole: true }),
    numberField("sites", "Sites", "count", 1, 1_000_000, { whole: true }),
    { type: "day", name: "from", label: "From", column: "from_day" },
    { type: "day", name: "to", label: "Free again on", column: "to_day" },
    choiceField("how", "Kept because", PLACE_HOW, {
      hand: "put there by hand",
      plan: "accepted with a plan",
      stood: "it stood there",
    }),
  ],
  order: [{ least: "from", greatest: "to", words: "Free again lies before From" }],
});

/** By what a season is solved; one row a garden. */
export const SEASON = entity({
  table: "season",
  label: "Season",
  right: "plan",
  fields: [
    numberField("confidence", "How sure each batch is to give its plants", "share", 0.5, 0.99, { initial: 0.9 }),
    numberField("horizonDays", "Planned ahead, days", "count", 28, 548, { whole: true, initial: 182 }),
    numberField("leastBatch", "Least batch, plants", "count", 1, 10_000, { whole: true, initial: 6 }),
    numberField("wasteShare", "A unit that nobody takes costs, of its price", "share", 0, 2, { initial: 0.1 }),
    numberField("hoursPerWeek", "Hours there are in a week", "ratio", 0, 1000, {
      ...{ nullable: true, initial: null },
      hint: "empty: hours are no limit",
    }),
    numberField("wagePerHour", "An hour of work costs", "money", 0, 1000, { initial: 0 }),
    numberField("sowSecondsPerCell", "Sowing a cell, seconds", "ratio", 0, 3600, { initial: 5 }),
    numberField("moveSecondsPerPlant", "Moving a plant, seconds", "ratio", 0, 3600, { initial: 10 }),
    numberField("pickSecondsPerUnit", "Picking and packing a unit, seconds", "ratio", 0, 3600, { initial: 20 }),
    { type: "switch", name: "buysSalts", label: "Salts are bought when they run out", initial: true },
  ],
});

/** A day on which nobody works, or no market is held. */
export const CLOSED_DAY = entity({
  table: "closed_day",
  label: "Day off",
  right: "plan",
  unique: ["day", "kind"],
  fields: [
    { type: "day", name: "day", label: "Day" },
    choiceField("kind", "What", ["off", "no-market"], {
      off: "nobody works",
      "no-market": "no market is held",
    }),
    { type: "note", name: "note", label: "Why", most: 80, initial: "" },
  ],
});
