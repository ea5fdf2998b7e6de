import { ruleOf } from "../feed/changeRule";
import { tankDays } from "../feed/tankDays";
import type { Day } from "../units/day";
import type { RoundLoop } from "../round/types";
import type { Loop } from "./garden";
import { changeInput, USUAL_HABITS } from "./keepOrChange";
import { drunkSince } from "./solutionAge";
import type { Worked } from "./worked";

/**
 * When the solution of a loop is to be changed by the rule that was chosen for it: in weeks from the last change, or on the day
 * on which what was drunk since, and what gathered with it, come to the limit by the plan. Where the log knows of no change it
 * is due today: from that one on it is counted.
 *
 * @returns null where it is kept, runs to waste, or is not due yet
 * @source tankDays
 */
export function changeDue(worked: Worked, loop: Loop): RoundLoop["changeDue"] {
  const { changeRule: rule } = loop;
  if (rule.kind === "never" || loop.kind !== "recirculating") return null;
  const { today, facts, plan } = worked;
  const since = facts.solutionChanges.find(({ loopId }) => loopId === loop.id)?.day ?? null;
  if (since === null) return { due: today, since, rule };
  if (rule.kind === "weeks") return dueOn(since + 7 * rule.weeks);
  const from = Math.max(0, since - plan.from);
  const drunkL = drunkSince(worked, loop, since);
  if (rule.kind === "topped-up") {
    let litres = 0;
    const at = drunkL.findIndex((day) => (litres += day) >= rule.tanks * loop.normalFillL);
    return at < 0 ? null : dueOn(plan.from + from + at + 1);
  }
  const input = changeInput(worked, loop, USUAL_HABITS);
  if (typeof input === "string") return null;
  const { changeDays } = tankDays({ ...input, drunkL, evaporatedL: new Float64Array(drunkL.length) }, ruleOf(rule));
  return changeDays.length === 0 ? null : dueOn(plan.from + from + changeDays[0]!);

  function dueOn(due: Day) {
    return due <= today ? { due, since, rule } : null;
  }
}
