import { formatNumber } from "@/core/units/format";

/** How often chance alone gives a difference as large, in words that can be counted. */
export function chanceWords(p: number): string {
  const often =
    p < 0.001
      ? "in fewer than one of 1000 such trials"
      : p < 0.01
        ? `in ${formatNumber(Math.max(1, Math.round(p * 1000)))} of 1000 such trials`
        : `in ${formatNumber(Math.round(p * 100))} of 100 such trials`;
  return `Chance alone gives a difference as large ${often}.`;
}

/** What that comes to. */
export function verdictWords(p: number, better: string): string {
  if (p < 0.01) return `${better} is better: chance hardly does that.`;
  if (p < 0.05) return `${better} is likely better; one more trial would settle it.`;
  return "No difference is shown. That does not say that there is none.";
}
