import { strokeError } from "../feed/calibration";
import { dayOfYear, type Day } from "../units/day";
import { injectorVerdict, pressureVerdict, type InjectorVerdict, type PressureVerdict } from "../water/injector";
import { realPumpOf } from "../water/loopPump";
import { timerRuns } from "../water/timer";
import { sunriseAndSunset } from "../place/climate/sun";
import { banksOf } from "./ahead";
import type { Facts } from "./facts";
import type { Loop } from "./garden";
import { turnsOf } from "./ladderPump";
import { bankName, loopPipes, solveBanks, type LoopAnswer, type LoopPipes } from "./loopPipes";
import type { Worked } from "./worked";

/** Banks that are open together, and what their water does to the injector. */
export interface InjectorFlow {
  readonly key: string;
  /** Whose valves are open. */
  readonly names: readonly string[];
  /** One bank by itself, or all that run in one turn. */
  readonly open: "alone" | "turn";
  readonly flowLph: number;
  readonly verdict: InjectorVerdict;
  /** Over its least flow, as a share of that; null where it doses from nothing on. */
  readonly headroom: number | null;
  /** null where nothing tells the pressure, or what the injector bears. */
  readonly headM: number | null;
  readonly pressure: PressureVerdict | null;
  /** The greatest error of its shortest run; null where a stroke is not known. */
  readonly strokeError: number | null;
}

export interface InjectorSheet {
  /** Worked out by the pipes; else as the stands want it, for nothing tells what gives pressure. */
  readonly by: "network" | "wanted";
  readonly flows: readonly InjectorFlow[];
  /** The shortest run of a turn by the timer, min; null where it never stops. */
  readonly shortestRunMin: number | null;
}

/**
 * The real flow of every bank of a loop, by itself and with those that run with it, against the range of its injector.
 *
 * @returns null for a loop that has no injector
 * @source solveBanks; injectorVerdict; strokeError
 */
export function injectorSheet(worked: Worked, loop: Loop): InjectorSheet | null {
  if (loop.feeding !== "injector") return null;
  const stands = worked.garden.stands.filter(({ loopId }) => loopId === loop.id);
  const runs = timerRuns(loop.timer, sunriseAndSunset(worked.garden.latitudeDeg, dayOfYear(worked.today)));
  const stops = loop.timer.kind !== "continuous" && runs.length > 0;
  const shortestRunMin = stops ? Math.min(...runs.map(({ lengthMin }) => lengthMin)) / loop.turns : null;
  const judge = (flow: Pick<InjectorFlow, "key" | "names" | "open" | "flowLph" | "headM">): InjectorFlow => {
    const [least, greatest] = [loop.injectorLeastLph ?? 0, loop.injectorGreatestLph ?? Infinity];
    const runL = shortestRunMin === null ? 0 : (flow.flowLph * shortestRunMin) / 60;
    const [leastM, greatestM] = [loop.injectorLeastHeadM, loop.injectorGreatestHeadM];
    const knowsPressure = flow.headM !== null && (leastM !== null || greatestM !== null);
    return {
      ...flow,
      verdict: injectorVerdict(flow.flowLph, least, greatest),
      headroom: least > 0 ? flow.flowLph / least - 1 : null,
      pressure: knowsPressure ? pressureVerdict(flow.headM, leastM ?? 0, greatestM ?? 1000) : null,
      strokeError: loop.injectorStrokeL !== null && runL > 0 ? strokeError(loop.injectorStrokeL, runL) : null,
    };
  };
  const pipes = loopPipes(loop, stands);
  if (!pipes || !loop.pump) return { by: "wanted", flows: wantedFlows(worked, loop).map(judge), shortestRunMin };
  return { by: "network", flows: networkFlows(loop, loop.pump, pipes).map(judge), shortestRunMin };
}

type Flow = Pick<InjectorFlow, "key" | "names" | "open" | "flowLph" | "headM">;

function networkFlows(loop: Loop, pump: NonNullable<Loop["pump"]>, pipes: LoopPipes): Flow[] {
  const real = realPumpOf(pump);
  const flowOf = (key: string, open: Flow["open"], isOpen: (bank: string) => boolean): Flow => {
    const answer = solveBanks(pipes, pipes.lowWaterM, isOpen, real);
    const names = pipes.banks.filter((bank) => isOpen(bank.key)).map(bankName);
    return { key, names, open, flowLph: answer.flow.flowLph, headM: headAtInjectorM(pipes, answer) };
  };
  const alone = pipes.banks.map(({ key }) => flowOf(key, "alone", (bank) => bank === key));
  const turns = turnsOf(pipes, loop.turns).map((isOpen, at) => flowOf(`turn ${at + 1}`, "turn", isOpen));
  return [...alone, ...turns.filter(({ names }) => names.length > 1)];
}

/** On the floor at the begin of the pipe, behind regulator and filter. */
function headAtInjectorM({ lowWaterM, regulator, filter }: LoopPipes, { flow, regulation }: LoopAnswer): number {
  const square = (loss: { lossM: number; atLph: number }) => loss.lossM * (flow.flowLph / loss.atLph) ** 2;
  const suppliedM =
    regulator && regulation === "regulates" ? regulator.setHeadM : lowWaterM - (regulator ? square(regulator) : 0);
  return suppliedM + flow.pumpHeadM - (filter ? square(filter) : 0);
}

/** Without pressure told: each bank as its lines want it, and all of them together where there are no turns. */
function wantedFlows({ garden }: Worked, loop: Loop): Flow[] {
  const banks = banksOf(garden, loop.id);
  const alone = banks.map(({ name, flowLph }): Flow => ({
    ...{ key: name, names: [name], open: "alone", flowLph, headM: null },
  }));
  if (banks.length < 2 || loop.turns > 1) return alone;
  const flowLph = banks.reduce((sum, bank) => sum + bank.flowLph, 0);
  return [...alone, { key: "all", names: banks.map(({ name }) => name), open: "turn", flowLph, headM: null }];
}

/** When a loop's injector is to be calibrated: so many days after the last time; at once where the log knows of none. */
export function calibrationDue(
  { today, facts }: { readonly today: Day; readonly facts: Pick<Facts, "calibrations"> },
  loop: Loop,
): { readonly due: Day; readonly since: Day | null; readonly ratioR: number } | null {
  if (loop.feeding !== "injector") return null;
  const since = facts.calibrations.find(({ loopId }) => loopId === loop.id)?.day ?? null;
  const due = since === null ? today : since + loop.calibrateEveryDays;
  return due <= today ? { due, since, ratioR: loop.ratioR } : null;
}
