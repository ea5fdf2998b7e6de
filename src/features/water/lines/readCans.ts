/** What was caught, as it was typed: figures with spaces, line ends or semicolons between; a comma is a decimal one. */
export function readCans(text: string): {
  readonly volumesMl: readonly number[];
  readonly problem: string | undefined;
} {
  const parts = text.split(/[\s;]+/u).filter((part) => part !== "");
  const volumesMl: number[] = [];
  for (const [at, part] of parts.entries()) {
    const bare = part.replace(/,$/u, "").replace(",", ".");
    const value = Number(bare);
    if (!/^\d/u.test(bare) || !Number.isFinite(value))
      return { volumesMl, problem: `Can ${at + 1}: “${part}” is not a number` };
    if (value > 100_000) return { volumesMl, problem: `Can ${at + 1}: ${part} mL is more than a can holds` };
    volumesMl.push(value);
  }
  if (volumesMl.length < 4)
    return { volumesMl, problem: "Write what at least 4 cans caught: fewer tell nothing of a line" };
  return { volumesMl, problem: undefined };
}
