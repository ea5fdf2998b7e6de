import { requireWhole } from "../units/range";
import { modelOf } from "./kinds";
import { kindWords, plural, type StandSpec } from "./stand";
import { runsOf } from "./runsOf";
import { standCounts } from "./standCounts";

/** The stands of a growing area in walking order; their lines are counted through. */
export interface GrowingAreaStand {
  readonly id: number;
  readonly name: string;
  readonly spec: StandSpec;
}

/** Sites of each line of a growing area, stand by stand. */
export function growingAreaSitesPerLine(stands: readonly GrowingAreaStand[]): number[] {
  return stands.flatMap(({ spec }) => {
    const { lines, sitesPerLine } = standCounts(spec);
    return new Array<number>(lines).fill(sitesPerLine);
  });
}

/**
 * Lines in words, runs of neighbours drawn together.
 * @param lines indices counted through the growing area's stands, rising
 * @example lineWords([{ id: 1, name: "Bank", spec: STAND_MODELS["channel-bank"].example }], [6, 7, 8, 10]) // "channels 7–9 and 11"
 */
export function lineWords(stands: readonly GrowingAreaStand[], lines: readonly number[]): string {
  for (const line of lines) requireWhole("lineWords", "lines", line, 0, 10_000_000);
  const parts: string[] = [];
  let first = 0;
  for (const { name, spec } of stands) {
    const count = linesOf(spec);
    const own = lines.filter((line) => line >= first && line < first + count).map((line) => line - first);
    first += count;
    if (own.length === 0) continue;
    const where = stands.length > 1 ? ` of ${name}` : "";
    parts.push(`${standLineWords(spec, own)}${where}`);
  }
  return parts.join("; ") || "above capacity";
}

const counted = new WeakMap<StandSpec, number>();

/** Lines of a stand; a specification never changes, and is asked for over and over. */
function linesOf(spec: StandSpec): number {
  const known = counted.get(spec);
  if (known !== undefined) return known;
  const { lines } = standCounts(spec);
  counted.set(spec, lines);
  return lines;
}

function standLineWords(spec: StandSpec, lines: readonly number[]): string {
  const own = modelOf(spec).linesWords;
  if (own) return own(spec, lines);
  const word = kindWords(spec.kind).line;
  const runs = runsOf(lines);
  const names = runs.map(([a, b]) => (a === b ? `${a + 1}` : `${a + 1}–${b + 1}`));
  const list = names.length > 1 ? `${names.slice(0, -1).join(", ")} and ${names.at(-1)}` : names[0]!;
  return `${lines.length > 1 ? plural(word) : word} ${list}`;
}
