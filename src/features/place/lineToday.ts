import { dayInWords } from "@/core/units/day";
import type { GrowingRun, StandView } from "@/core/garden/placeView";
import { counted } from "@/core/units/format";

/** What grows on each site of a line today; undefined where the site is free. */
export function plantsOfLine({ counts, growing }: StandView, line: number): (GrowingRun | undefined)[] {
  const first = line * counts.sitesPerLine;
  return Array.from({ length: counts.sitesPerLine }, (_, site) =>
    growing.find((run) => run.start <= first + site && first + site < run.end),
  );
}

/** A line in words: "18 Batavia lettuce of 12 Apr, day 9 of 28; 6 free". */
export function lineWordsToday(view: StandView, line: number): string {
  const plants = plantsOfLine(view, line);
  const runs = [...new Set(plants.filter((run) => run !== undefined))];
  const free = plants.filter((run) => run === undefined).length;
  const parts = runs.map((run) => {
    const count = plants.filter((plant) => plant === run).length;
    return `${count} ${run.variety} of ${dayInWords(run.sownOn)}, ${ageWords(run)}`;
  });
  if (free > 0) parts.push(`${free} free`);
  return parts.join("; ");
}

function ageWords({ dayOfStage, daysOfStage }: GrowingRun): string {
  const past = dayOfStage - daysOfStage;
  if (past < 0) return `day ${dayOfStage + 1} of ${daysOfStage}`;
  return past === 0 ? "ready today" : `ready for ${counted(past, "day")}`;
}
