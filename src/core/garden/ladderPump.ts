import type { LadderPump } from "../water/ladder";
import { pipeHeadLossM } from "../water/pipeFriction";
import { PIPE_SIZES } from "../water/pipeSizes";
import { curveOf, type KnownPump } from "../water/pumpCurve";
import { pumpDuty } from "../water/pumpDuty";
import type { Loop, Stand } from "./garden";
import { memo } from "./memo";
import { loopPipes, solveBanks, wantedBy, type LoopAnswer, type LoopBank, type LoopPipes } from "./loopPipes";
import { mainPipe, pumpSystem, realPumpOf } from "../water/loopPump";

/** Less lift that the ladder tries, m. */
const LESS_LIFT_M = 0.1;

/** What the pump of a loop does on its pipes, and how much of what it wants each stand gets at its worst bank. */
export interface PumpOnPipes {
  readonly pump: LadderPump;
  /** Of what it wants, what each bank gets while its turn is on, and the head where it goes into its lines, m. */
  readonly banks: readonly { readonly bank: LoopBank; readonly share: number; readonly inletHeadM: number }[];
  /** The least of them by the ids of the stands. */
  readonly shares: ReadonlyMap<number, number>;
}

/**
 * A loop's pump for its ladder: banks are dealt out in turns, every turn is solved as a network at the lowest water, and the
 * turn that is served worst counts.
 *
 * @returns null where there is no pump
 * @throws RangeError when a figure is outside its range
 * @source solveBanks
 */
export function pumpOnPipes(loop: Loop, stands: readonly Stand[]): PumpOnPipes | null {
  // A page asks for it more than once.
  return memo("pump on pipes", [loop, ...stands], () => workedOut(loop, stands));
}

function workedOut(loop: Loop, stands: readonly Stand[]): PumpOnPipes | null {
  const { pump } = loop;
  if (!pump) return null;
  const pipes = loopPipes(loop, stands);
  const real = realPumpOf(pump);
  const by = real ? "pump" : pump.kind === "mains" ? "mains" : "gravity";
  const waterM = pump.kind === "mains" ? Math.min(pump.setHeadM, pump.supplyHeadM) : pump.lowestWaterM;
  const liftM = pump.highestOutletM - waterM;
  if (!pipes) {
    const flowLph = real ? pumpDuty(pumpSystem(real)).flowLph : 0;
    const idle = { by, lessLift: null, widerPipe: null, banks: 0, wantedLph: 0, flowLph } as const;
    const main = { boreMm: pump.boreMm, lengthM: pump.pipeLengthM, lossM: 0, headThereM: 0, neededM: 0 };
    return { pump: { ...idle, liftM, main }, banks: [], shares: new Map() };
  }
  const turns = turnsOf(pipes, loop.turns);
  const solved = turns.map((isOpen) => ({ isOpen, answer: solveBanks(pipes, pipes.lowWaterM, isOpen, real) }));
  const shareOf = ({ answer }: (typeof solved)[number]) => answer.flow.flowLph / wantedBy(answer);
  const worst = solved.reduce((a, b) => (shareOf(b) < shareOf(a) ? b : a));
  const [flowLph, wantedLph] = [worst.answer.flow.flowLph, wantedBy(worst.answer)];
  const isShort = flowLph < wantedLph;
  const gain = (answer: LoopAnswer) => Math.max(0, answer.flow.flowLph - flowLph);
  const boreMm = PIPE_SIZES.find(
    ({ system: sold, boreMm: bore }) => sold === "metric" && bore > pump.boreMm * 1.05,
  )?.boreMm;
  const wider = boreMm === undefined ? null : loopPipes({ ...loop, pump: { ...pump, boreMm } }, stands);
  const lossM = pipeHeadLossM(wantedLph, mainPipe(pump));
  const banks = solved.flatMap(({ answer }) =>
    answer.banks.flatMap(({ bank, share, flow }) =>
      share === null ? [] : [{ bank, share, inletHeadM: flow.inletHeadM ?? 0 }],
    ),
  );
  return {
    pump: {
      ...{ by, flowLph, wantedLph, liftM, banks: pipes.banks.length },
      lessLift:
        isShort && by !== "mains"
          ? { lessM: LESS_LIFT_M, gainLph: gain(solveBanks(pipes, pipes.lowWaterM + LESS_LIFT_M, worst.isOpen, real)) }
          : null,
      widerPipe:
        isShort && wider
          ? { boreMm: boreMm!, gainLph: gain(solveBanks(wider, wider.lowWaterM, worst.isOpen, real)) }
          : null,
      main: {
        ...{ boreMm: pump.boreMm, lengthM: pump.pipeLengthM, lossM },
        // Without a pump what is there is the height of the water over the outlets.
        headThereM: real ? headAt(real, wantedLph) : -liftM,
        neededM: (real ? liftM : 0) + pump.headWantedM + lossM,
      },
    },
    banks,
    shares: leastByStand(banks),
  };
}

function headAt(pump: KnownPump, flowLph: number): number {
  const curve = curveOf(pump);
  if (flowLph < curve.firstFlowLph) return curve.firstHeadM;
  return flowLph > curve.lastFlowLph ? 0 : curve.headM(flowLph);
}

/** Banks dealt out one by one over the turns; a turn without a bank is none. */
export function turnsOf({ banks }: LoopPipes, turns: number): ((key: string) => boolean)[] {
  const groups = Array.from({ length: Math.min(turns, banks.length) }, (_, turn) =>
    banks.filter((_bank, at) => at % turns === turn).map(({ key }) => key),
  );
  return groups.map((keys) => (key) => keys.includes(key));
}

function leastByStand(banks: PumpOnPipes["banks"]): Map<number, number> {
  const shares = new Map<number, number>();
  for (const { bank, share } of banks) shares.set(bank.standId, Math.min(share, shares.get(bank.standId) ?? Infinity));
  return shares;
}
