import type { Week, WeekWork } from "@/core/garden/weeks";
import { counted, formatNumber } from "@/core/units/format";

const VERBS = { sow: "Sow", thin: "Thin", move: "Move", pick: "Pick" } as const;

/** A piece of work: "Sow 49 cells of Batavia lettuce: germination rack, tray 3". */
export function workWords({ kind, count, unit, variety, area, lines }: WeekWork): string {
  const amount = `${formatNumber(count, 1)} ${unit}`;
  const where = [area.toLowerCase(), lines].filter(Boolean).join(", ");
  return kind === "pick"
    ? `${VERBS[kind]} ${amount} of ${variety} for ${area}`
    : `${VERBS[kind]} ${amount} of ${variety}${kind === "thin" ? "" : `: ${where}`}`;
}

/** What a week asks for in short: "2 sowings, 3 moves, 5 pickings". */
export function weekWords({ work }: Week): string {
  const of = (kind: WeekWork["kind"]) => work.filter((one) => one.kind === kind).length;
  const parts = [
    [of("sow"), "sowing"],
    [of("thin"), "thinning"],
    [of("move"), "move"],
    [of("pick"), "picking"],
  ] as const;
  const said = parts.flatMap(([count, word]) => (count > 0 ? [counted(count, word)] : []));
  return said.length > 0 ? said.join(", ") : "nothing to do";
}
