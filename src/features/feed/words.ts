import type { LoopChangeRule } from "@/core/feed/changeRule";
import type { StockConflict, StockSolubility } from "@/core/feed/stocks";
import type { UnitPreferences } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import type { FeedRefusal } from "@/server/feed/refused";

/** A round amount of feed that salts are told for: 1000 L, or a hundred gallons where those are at home. */
export function roundFeedL({ system }: UnitPreferences): number {
  return system === "us" ? 378.5411784 : 1000;
}

/** Why two salts may not be in one stock. */
export function stockConflictWords({ salts: [first, second], ions }: StockConflict): string {
  switch (ions[1]) {
    case "SO4":
      return `${first} and ${second} in one stock drop gypsum: calcium with sulfate. Put one in A, the other in B.`;
    case "PO4":
      return `${first} and ${second} in one stock drop calcium phosphate. Put one in A, the other in B.`;
    case "H":
      return `${second} at stock strength breaks up ${first}. Keep acid by itself or in B.`;
  }
}

/** Whether a stock stays clear on the coldest night. */
export function solubilityWords(
  { verdict, nearest, load, coldestC, highestRatioR }: StockSolubility,
  units: UnitPreferences,
): string {
  if (verdict === "clear") return "Everything dissolves with room to spare.";
  const what = nearest.kind === "sulfates" ? "The sulfates together" : nearest.name;
  const share = quantityText(load, "share", units);
  const cold = quantityText(coldestC, "temperature", units);
  if (verdict === "close") return `${what}: ${share} of what dissolves at ${cold}; some may drop out on a cold night.`;
  return `${what}: ${share} of what dissolves at ${cold}. The highest ratio that works is 1:${highestRatioR}.`;
}

/** Why a recipe was not saved. */
export function feedRefusalWords({ letter, conflict }: FeedRefusal): string {
  return `Stock ${letter} is refused: ${stockConflictWords(conflict)}`;
}

/** How the solution of a tank is kept or changed. */
export function changeWords(rule: LoopChangeRule, units: UnitPreferences): string {
  switch (rule.kind) {
    case "never":
      return "topped up only, never changed";
    case "weeks":
      return rule.weeks === 1 ? "changed every week" : `changed every ${rule.weeks} weeks`;
    case "topped-up":
      return rule.tanks === 1
        ? "changed when a tank of water was topped up"
        : `changed when ${formatNumber(rule.tanks, 1)} tanks of water were topped up`;
    case "limits":
      return `changed at ${quantityText(rule.sodiumMgPerL, "concentration", units)} of sodium or ${quantityText(rule.chlorideMgPerL, "concentration", units)} of chloride`;
  }
}

/** What is shown beside the title of a feed sheet. */
export function loopHeader(
  loop: { readonly name: string } | null,
  about: string | null,
  needLpd: number,
  units: UnitPreferences,
): string {
  if (!loop) return "no loop yet";
  return `${loop.name} loop · ${about ?? ""} · ${quantityText(Math.round(needLpd), "volume", units)} of feed a day`;
}
