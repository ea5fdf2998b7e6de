import { requireFigures } from "../units/range";
import { ATOMIC_WEIGHT_G_PER_MOL as WEIGHT } from "./nutrients";
import type { ChangeRule } from "./tankDays";

/** A way to keep or change the solution of a recirculating tank, as a loop has it. */
export type LoopChangeRule =
  | { readonly kind: "never" }
  | { readonly kind: "weeks"; readonly weeks: number }
  | { readonly kind: "topped-up"; readonly tanks: number }
  | { readonly kind: "limits"; readonly sodiumMgPerL: number; readonly chlorideMgPerL: number };

/** A rule as the days of a tank are walked by it. */
export function ruleOf(rule: LoopChangeRule): ChangeRule {
  switch (rule.kind) {
    case "never":
      return { kind: "never" };
    case "weeks":
      requireFigures("ruleOf", rule, { weeks: [1, 52, "whole"] });
      return { kind: "every-days", days: 7 * rule.weeks };
    case "topped-up":
      return { kind: "top-up-volume", tanks: rule.tanks };
    case "limits":
      requireFigures("ruleOf", rule, { sodiumMgPerL: [0, 20_000], chlorideMgPerL: [0, 20_000] });
      return {
        kind: "ion-limit",
        limitsMmolPerL: { Na: rule.sodiumMgPerL / WEIGHT.Na, Cl: rule.chlorideMgPerL / WEIGHT.Cl },
      };
  }
}
