import { requirePattern } from "../growth/harvestPattern";
import { requireLength } from "../growth/stageDays";
import { requireDay } from "../units/day";
import { requireEach, requireFigures, requireRange, requireWhole, type FigureRange } from "../units/range";
import type { PlanBatch, PlanInput, PlanOrder, PlanGrowingArea, PlanVariety } from "./types";

const COUNT: FigureRange = [0, 10_000_000, "whole"];
const SHARE: FigureRange = [0, 1];

export function requireArea(where: string, area: PlanGrowingArea): void {
  const { sites, cleaningDays, sitesPerLine, loops } = area;
  requireFigures(where, { sites, cleaningDays }, { sites: COUNT, cleaningDays: [0, 366, "whole"] });
  for (const count of sitesPerLine) requireWhole(where, "sitesPerLine", count, 0, 10_000_000);
  for (const loop of loops) requireFigures(where, loop, { share: SHARE });
}

export function requireVariety(where: string, variety: PlanVariety): void {
  const { germination, seedsPerCell, pattern, stages } = variety;
  requireRange(where, "germination", germination, 0, 1);
  requireWhole(where, "seedsPerCell", seedsPerCell, 1, 10_000);
  requirePattern(where, pattern);
  for (const stage of stages) {
    requireFigures(where, stage, { survival: SHARE, needLpd: [0, 1000] });
    requireLength(where, stage);
  }
}

export function requireBatch(where: string, batch: PlanBatch): void {
  const { sowDay, cells, targetPlants, clearedDay, begun } = batch;
  requireDay(where, "sowDay", sowDay);
  requireWhole(where, "cells", cells, 0, 10_000_000);
  requireWhole(where, "targetPlants", targetPlants, 0, 10_000_000);
  if (clearedDay !== null) requireDay(where, "clearedDay", clearedDay);
  for (const stage of begun) {
    requireFigures(where, stage, { position: [0, 100, "whole"], plants: COUNT });
    requireDay(where, "day", stage.day);
  }
}

export function requireOrder(where: string, order: PlanOrder): void {
  const { weekday, quantity, from, to } = order;
  requireWhole(where, "weekday", weekday, 1, 7);
  requireRange(where, "quantity", quantity, 0);
  requireDay(where, "from", from);
  requireDay(where, "to", to);
}

/** The longest span that is planned at once. */
const MOST_DAYS = 4000;

/** The first day of a span of days, and the day after its last. */
export function requireSpan(where: string, from: number, to: number): void {
  requireDay(where, "from", from);
  requireRange(where, "to", to, from, from + MOST_DAYS);
  requireDay(where, "to", to);
}

/** Tables that were found sound are not looked at again: plans are worked out over and over from the same ones. */
const sound = new WeakSet<readonly object[]>();

function requireAll<Row extends object>(where: string, rows: readonly Row[], check: (where: string, row: Row) => void) {
  if (sound.has(rows)) return;
  for (const row of rows) check(where, row);
  sound.add(rows);
}

/** @throws RangeError that names the first figure of a plan's rows that is outside its range */
export function requirePlanInput(where: string, input: PlanInput): void {
  requireDay(where, "today", input.today);
  requireSpan(where, input.from, input.to);
  requireAll(where, input.growingAreas, requireArea);
  requireAll(where, input.varieties, requireVariety);
  requireAll(where, input.batches, requireBatch);
  requireAll(where, input.orders, requireOrder);
  requireEach(where, "drainShareByLoop", input.drainShareByLoop, 0, 0.95);
}

/** Chances with which a sowing is sized. */
export function requireConfidence(where: string, confidence: number): void {
  requireRange(where, "confidence", confidence, 0.01, 0.999);
}
