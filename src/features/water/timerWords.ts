import { clockText, type TimerProgram } from "@/core/water/timer";

/** A timer program as one would say it. */
export function timerWords(timer: TimerProgram): string {
  switch (timer.kind) {
    case "continuous":
      return "runs day and night";
    case "every":
      return `${timer.runMin} min every ${timer.everyMin} min, ${clockText(timer.fromMin)}–${clockText(timer.toMin)}`;
    case "times":
      return `${timer.runMin} min at ${timer.timesMin.map(clockText).join(", ")}`;
  }
}
