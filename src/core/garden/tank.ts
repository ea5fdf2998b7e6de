import { requireRange } from "../units/range";
import { sourceLimitLpd } from "./supply";
import type { Worked } from "./worked";
import { ladder, type Ladder } from "../water/ladder";
import { pumpOnPipes } from "./ladderPump";
import { ladderStands } from "./ladderStands";
import { loopTankRoom, type TankRoom } from "../place/standWater";
import { standingOnStand } from "./standing";
import type { Loop, Stand } from "./garden";

/** Freeboard kept under the rim of a tank, as a share of its volume. */
const FREEBOARD_SHARE = 0.03;

/** The highest level that leaves room for what drains back, under a freeboard. */
export function greatestFillL(tankL: number, drainBackL: number): number {
  requireRange("greatestFillL", "tankL", tankL, 0, 100_000_000);
  requireRange("greatestFillL", "drainBackL", drainBackL, 0, 100_000_000);
  return Math.max(0, tankL * (1 - FREEBOARD_SHARE) - drainBackL);
}

/** The rung ladder of a loop today. @param follow key of a bank to follow the water to; the one worst off, unless said */
export function loopLadder(season: Worked, loop: Loop, follow?: string): Ladder {
  const { plan, garden: rows } = season;
  const offset = plan.today - plan.from;
  const standsOf = rows.stands.filter((stand) => stand.loopId === loop.id);
  const pumped = pumpOnPipes(loop, standsOf);
  return ladder({
    kind: loop.kind,
    drainShare: loop.drainShare,
    pump: pumped?.pump ?? null,
    timer: loop.timer,
    turns: loop.turns,
    stands: ladderStands(season, loop, standsOf, pumped),
    ...(follow !== undefined && { follow }),
    injector:
      loop.feeding === "injector" && loop.injectorLeastLph !== null
        ? { leastLph: loop.injectorLeastLph, greatestLph: loop.injectorGreatestLph! }
        : null,
    garden: {
      needLpd: plan.needL[offset] ?? 0,
      sourcesLpd: rows.sources.reduce((sum, source) => sum + sourceLimitLpd(source), 0),
      storedL: rows.stores.reduce((sum, store) => sum + store.storedL, 0),
      capacityL: rows.stores.reduce((sum, store) => sum + store.capacityL, 0),
    },
  });
}

/** The ends that the water of a loop can be followed to. */
export function endsOf(season: Worked, loop: Loop): { readonly key: string; readonly name: string }[] {
  const stands = season.garden.stands.filter((stand) => stand.loopId === loop.id);
  return ladderStands(season, loop, stands, pumpOnPipes(loop, stands))
    .filter(({ lineFlowLph }) => lineFlowLph > 0)
    .map(({ key, name }) => ({ key, name }));
}

export interface TankLimits extends Pick<TankRoom, "drainBackL" | "pipeL"> {
  readonly greatestL: number;
}

/** Room that a tank must keep: what drains back when the pump stops, and freeboard. */
export function tankLimits(season: Worked, loop: Loop): TankLimits {
  const own = season.garden.stands.filter((stand) => stand.loopId === loop.id);
  const { drainBackL, pipeL } = loopTankRoom(
    loop,
    own.map(({ spec }) => spec),
  );
  return { drainBackL, pipeL, greatestL: greatestFillL(loop.tankL, drainBackL) };
}

/** Litres a day that one plant of a stand drinks today, the mean of those there; 0 where none stands there. */
export function plantNeedOn(season: Worked, { id }: Stand): number {
  const there = standingOnStand(season, id, season.plan.today);
  return there.plants > 0 ? there.needLpd / there.plants : 0;
}
