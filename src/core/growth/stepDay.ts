import { requireDay, type Day } from "../units/day";
import { dayOfShare, type StageLength } from "./stageDays";
import type { StepDue } from "./steps";

/**
 * The day on which a step of a stage is due.
 * @param from the day on which the stage began, or will begin
 * @throws RangeError from `dayOfShare`
 * @source days counted from the beginning of the stage, or its share by its clock
 */
export function stepDay(due: StepDue, from: Day, stage: StageLength): Day {
  requireDay("stepDay", "from", from);
  return due.kind === "days" ? from + Math.round(due.days) : dayOfShare(from, stage, due.share);
}
