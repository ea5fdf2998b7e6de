import { sunriseAndSunset } from "../place/climate/sun";
import { refillDay, sharesByHour, type RefillAnswer } from "../water/refillDay";
import { timerRuns, type Daylight } from "../water/timer";
import { dayOfYear } from "../units/day";
import type { Loop, Source } from "./garden";
import { standingOnLoop } from "./standing";
import { loopLadder } from "./tank";
import type { Worked } from "./worked";

/** A source and the tanks that it fills, through today. */
export interface SourceRefill {
  readonly source: Pick<Source, "id" | "name" | "kind">;
  readonly loops: readonly string[];
  readonly flowLph: number;
  readonly hoursPerDay: number;
  readonly tankL: number;
  readonly drawnLpd: number;
  /** null where no flow is told. */
  readonly answer: RefillAnswer | null;
}

/** For wells and mains: whether what they bring in an hour keeps up with what the timers and the plants draw. */
export function sourceRefills(worked: Worked): SourceRefill[] {
  const { garden, today } = worked;
  const sun = sunriseAndSunset(garden.latitudeDeg, dayOfYear(today));
  return garden.sources.flatMap((source) => {
    const own = garden.loops.filter(({ sourceId }) => sourceId === source.id);
    if (own.length === 0 || (source.kind !== "well" && source.kind !== "mains")) return [];
    const drawnL = new Array<number>(24).fill(0);
    for (const loop of own) drawnByHour(worked, loop, sun).forEach((litres, hour) => (drawnL[hour]! += litres));
    const tankL = own.reduce((sum, { normalFillL }) => sum + normalFillL, 0);
    const hoursPerDay = source.kind === "well" ? source.hoursPerDay : 24;
    const { flowLph } = source;
    return [
      {
        source,
        loops: own.map(({ name }) => name),
        ...{ flowLph, hoursPerDay, tankL },
        drawnLpd: drawnL.reduce((sum, litres) => sum + litres, 0),
        answer: flowLph > 0 ? refillDay({ drawnL, tankL, flowLph, hoursPerDay }) : null,
      },
    ];
  });
}

/** What runs to waste leaves its tank as the timer runs; elsewhere the tank sinks as plants drink. */
function drawnByHour(worked: Worked, loop: Loop, sun: Daylight): number[] {
  if (loop.kind === "recirculating") {
    const { needLpd } = standingOnLoop(worked, loop.id, worked.today);
    return sharesByHour(sun.riseMin, sun.setMin).map((share) => share * needLpd);
  }
  const flowLph = loopLadder(worked, loop).pumpFlowLph;
  const drawnL = new Array<number>(24).fill(0);
  for (const { startMin, lengthMin } of timerRuns(loop.timer, sun))
    for (let at = startMin; at < startMin + lengthMin;) {
      const end = Math.min(startMin + lengthMin, (Math.floor(at / 60) + 1) * 60);
      drawnL[Math.floor(at / 60) % 24]! += ((end - at) / 60) * flowLph;
      at = end;
    }
  return drawnL;
}
