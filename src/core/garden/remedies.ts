import type { Ease, Ladder } from "../water/ladder";
import { PIPE_SIZES } from "../water/pipeSizes";
import { timerMinutes, type TimerProgram } from "../water/timer";
import type { Loop } from "./garden";
import { loopLadder } from "./tank";
import type { Worked } from "./worked";

/** Something that would ease a rung, tried on the loop. */
export interface Remedy {
  readonly ease: Ease;
  /** What of the loop would be another. */
  readonly change: Partial<Pick<Loop, "turns" | "timer" | "pump">>;
  readonly ladder: Ladder;
}

/** A pipe is wider from here on; a hair more is the same one. */
const WIDER = 1.05;

/** What a remedy makes of a loop; null for what is no figure of the loop. */
function changeBy(loop: Loop, ease: Ease): Remedy["change"] | null {
  const { pump, timer } = loop;
  switch (ease.kind) {
    case "more-turns":
      return { turns: ease.turns };
    case "own-turn":
      return { turns: loop.turns + 1 };
    case "wider-riser":
      return pump && { pump: { ...pump, boreMm: ease.boreMm } };
    case "wider-main": {
      const next = PIPE_SIZES.find(({ system, boreMm }) => system === "metric" && pump && boreMm > pump.boreMm * WIDER);
      return pump && next ? { pump: { ...pump, boreMm: next.boreMm } } : null;
    }
    case "less-lift":
      return pump && { pump: { ...pump, highestOutletM: pump.highestOutletM - ease.lessM } };
    case "longer-timer": {
      const longer = longerBy(timer, ease.minutes);
      return longer && { timer: longer };
    }
    case "unmet-without-store":
    case "spare-the-store":
    case "open-together":
      return null;
  }
}

/** The same runs, each a little longer, so many minutes a day more; null where the day or the time between starts is too short. */
function longerBy(timer: TimerProgram, minutes: number): TimerProgram | null {
  if (timer.kind === "continuous") return null;
  const now = timerMinutes(timer);
  if (now <= 0) return null;
  // Timers are set in whole minutes, short runs in quarters of one.
  const step = timer.runMin < 2 ? 0.25 : 1;
  const runMin = Math.ceil((timer.runMin * (now + minutes)) / now / step - 1e-9) * step;
  const most = timer.kind === "every" ? timer.everyMin : 1440;
  return runMin > most ? null : { ...timer, runMin };
}

/** Every remedy that a ladder names and that is a figure of the loop, with the ladder as it would be. */
export function remediesOf(worked: Worked, loop: Loop, ladder: Ladder, follow?: string): Remedy[] {
  const eases = new Map(ladder.rungs.flatMap(({ eases: own }) => own).map((ease) => [JSON.stringify(ease), ease]));
  return [...eases.values()].flatMap((ease) => {
    const change = changeBy(loop, ease);
    return change ? [{ ease, change, ladder: loopLadder(worked, { ...loop, ...change }, follow) }] : [];
  });
}
