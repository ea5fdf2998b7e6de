import { ecOfIons } from "../feed/ec";
import { tankDays } from "../feed/tankDays";
import { mixIons, type IonAmounts } from "../feed/nutrients";
import type { Day } from "../units/day";
import type { Loop } from "./garden";
import { changeInput, USUAL_HABITS } from "./keepOrChange";
import type { Worked } from "./worked";

/** How long a solution has gone round, and what has gathered in it. */
export interface SolutionAge {
  /** null where the log does not know when it was made. */
  readonly ageDays: number | null;
  /** Of its EC, what sodium and chloride make now, over what they made when it was fresh; 0 where it is not known. */
  readonly gatheredShare: number;
}

/** Litres that the plan drank of a loop since a day. */
export function drunkSince({ plan, today }: Pick<Worked, "plan" | "today">, loop: Loop, since: Day): Float64Array {
  const need = plan.needLByLoop.get(loop.id);
  const from = Math.max(0, since - plan.from);
  return need ? need.slice(from, Math.max(from, today - plan.from)) : new Float64Array(0);
}

/** @source tankDays, from the last change on, topped up only */
export function solutionAge(worked: Worked, loop: Loop): SolutionAge {
  const since = worked.facts.solutionChanges.find(({ loopId }) => loopId === loop.id)?.day ?? null;
  if (since === null || loop.kind !== "recirculating") return { ageDays: null, gatheredShare: 0 };
  const ageDays = Math.max(0, worked.today - since);
  const input = changeInput(worked, loop, USUAL_HABITS);
  const drunkL = drunkSince(worked, loop, since);
  if (typeof input === "string" || drunkL.length === 0) return { ageDays, gatheredShare: 0 };
  const found = tankDays({ ...input, drunkL, evaporatedL: new Float64Array(drunkL.length) }, { kind: "never" });
  const fresh = ballastShare(
    mixIons([
      [1, input.waterMmolPerL],
      [input.strength, input.recipeMmolPerL],
    ]),
  );
  return { ageDays, gatheredShare: Math.max(0, found.ballastShareOfEc - fresh) };
}

function ballastShare({ Na = 0, Cl = 0, ...fed }: IonAmounts): number {
  const all = ecOfIons({ ...fed, Na, Cl });
  return all > 0 ? 1 - ecOfIons(fed) / all : 0;
}
