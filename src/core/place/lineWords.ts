import { STAND_KIND_WORDS, type StandSpec } from "./stand";
import { standCounts } from "./standCounts";
import { lineLabel } from "./standLayout";

/** The stands of a pool in walking order; their lines are counted through. */
export interface PoolStand {
  readonly id: number;
  readonly name: string;
  readonly spec: StandSpec;
}

/** Sites of each line of a pool, stand by stand. */
export function poolSitesPerLine(stands: readonly PoolStand[]): number[] {
  return stands.flatMap(({ spec }) => {
    const { lines, sitesPerLine } = standCounts(spec);
    return new Array<number>(lines).fill(sitesPerLine);
  });
}

/**
 * Lines in words, runs of neighbours drawn together.
 * @param lines indices counted through the pool's stands, rising
 * @example lineWords(stands, [6, 7, 8, 10]) // "channels 7–9 and 11"
 */
export function lineWords(stands: readonly PoolStand[], lines: readonly number[]): string {
  const parts: string[] = [];
  let first = 0;
  for (const { name, spec } of stands) {
    const count = standCounts(spec).lines;
    const own = lines.filter((line) => line >= first && line < first + count).map((line) => line - first);
    first += count;
    if (own.length === 0) continue;
    const where = stands.length > 1 ? ` of ${name}` : "";
    parts.push(`${standLineWords(spec, own)}${where}`);
  }
  return parts.join("; ") || "above capacity";
}

function standLineWords(spec: StandSpec, lines: readonly number[]): string {
  if (spec.kind === "tray-rack") {
    const [start, end] = [lineLabel(spec, lines[0]!), lineLabel(spec, lines.at(-1)!)];
    return lines.length === 1 ? start : `${start} to ${end}`;
  }
  const word = STAND_KIND_WORDS[spec.kind].line;
  const runs: [number, number][] = [];
  for (const line of lines) {
    const last = runs.at(-1);
    if (last && last[1] === line - 1) last[1] = line;
    else runs.push([line, line]);
  }
  const names = runs.map(([a, b]) => (a === b ? `${a + 1}` : `${a + 1}–${b + 1}`));
  const list = names.length > 1 ? `${names.slice(0, -1).join(", ")} and ${names.at(-1)}` : names[0]!;
  return `${word}${lines.length > 1 ? "s" : ""} ${list}`;
}
