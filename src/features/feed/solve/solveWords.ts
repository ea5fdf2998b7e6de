import type { LimitResult } from "@/core/feed/recipeResult";
import type { RecipeLimit } from "@/core/feed/whatLimits";
import { formatNumber } from "@/core/units/format";

const list = (names: readonly string[]) =>
  names.length < 2 ? (names[0] ?? "") : `${names.slice(0, -1).join(", ")} and ${names.at(-1)}`;

/** Why a target is missed. */
export function limitWords(limit: RecipeLimit, salts: readonly { readonly name: string }[], water: string): string {
  switch (limit.kind) {
    case "nothing-brings":
      return `${limit.aim}: none of these salts brings it.`;
    case "water-brings":
      return `${limit.aim}: ${water} alone brings more than is wanted. No salt takes it out; a purer water would.`;
    case "brings-too": {
      const name = salts[limit.salt]!.name;
      return limit.too.length > 0
        ? `${limit.aim}: more ${name} would bring too much ${list(limit.too)}.`
        : `${limit.aim}: it is let go for what counts more.`;
    }
    case "comes-with": {
      const name = salts[limit.salt]!.name;
      return limit.wanted.length > 0
        ? `${limit.aim}: too much comes with ${name}, which is wanted for ${list(limit.wanted)}.`
        : `${limit.aim}: too much comes with ${name}.`;
    }
  }
}

/** A limit that could not be held. */
export function notHeldWords({ kind, aim, limitMgPerL, reachedMgPerL }: LimitResult): string {
  const [limit, reached] = [limitMgPerL, reachedMgPerL].map((mgPerL) => `${formatNumber(mgPerL, 2)} mg/L`);
  if (kind === "ammonium") return `Ammonium is ${reached} of nitrogen; its share allows ${limit}.`;
  return `${aim} is ${reached}; it was to be ${kind === "least" ? "at least" : "at most"} ${limit}.`;
}
