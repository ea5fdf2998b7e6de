import { concentrationFactor } from "../feed/stocks";
import { stockStrength, type StockStrength } from "../feed/stockStrength";
import type { MixFact } from "./facts";
import type { Loop } from "./garden";
import type { Worked } from "./worked";

/**
 * How strong a stock is by what is left of it since it was mixed. By hand every dose is logged; an injector has drawn what the
 * plants in the plan drank until the tank was last looked at.
 *
 * @returns null where nobody has looked since
 * @source stockStrength
 */
export function sinceMixed({ garden, plan }: Worked, loop: Loop, mix: MixFact): StockStrength | null {
  const tank = garden.stockTanks.find(({ loopId, letter }) => loopId === loop.id && letter === mix.letter);
  if (!tank || tank.readOn <= mix.day) return null;
  const { beforeL, madeL } = mix;
  if (loop.feeding !== "injector") return stockStrength({ beforeL, madeL, usedL: mix.usedL, leftL: tank.leftL });
  const need = plan.needLByLoop.get(loop.id);
  let feedL = 0;
  for (let day = Math.max(mix.day, plan.from); day < tank.readOn; day++) feedL += need?.[day - plan.from] ?? 0;
  const usedL = feedL / concentrationFactor(loop.ratioR, loop.ratioConvention);
  return stockStrength({ beforeL, madeL, usedL, leftL: tank.leftL });
}
