import { traysOf } from "./kinds/racks";
import { kindWords, plural, type ShootsRack, type StandSpec, type TrayRack } from "./stand";
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
  if (spec.kind === "tray-rack" || spec.kind === "shoots-rack") return trayWords(spec, lines);
  const word = kindWords(spec.kind).line;
  const runs = runsOf(lines);
  const names = runs.map(([a, b]) => (a === b ? `${a + 1}` : `${a + 1}–${b + 1}`));
  const list = names.length > 1 ? `${names.slice(0, -1).join(", ")} and ${names.at(-1)}` : names[0]!;
  return `${lines.length > 1 ? plural(word) : word} ${list}`;
}

/** Trays shelf by shelf: "shelf 5, trays 1–2; shelf 6, tray 1". */
function trayWords(spec: TrayRack | ShootsRack, lines: readonly number[]): string {
  const perShelf = Math.max(1, traysOf(spec).traysPerShelf);
  const shelves = [...new Set(lines.map((line) => Math.floor(line / perShelf)))];
  return shelves
    .map((shelf) => {
      const trays = lines.filter((line) => Math.floor(line / perShelf) === shelf);
      const [head] = lineLabel(spec, trays[0]!).split(", tray ");
      const names = runsOf(trays.map((line) => line % perShelf)).map(([a, b]) =>
        a === b ? `${a + 1}` : `${a + 1}–${b + 1}`,
      );
      return `${head}, tray${trays.length > 1 ? "s" : ""} ${names.join(", ")}`;
    })
    .join("; ");
}

/** Neighbours drawn together as [first, last]. */
function runsOf(numbers: readonly number[]): [number, number][] {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && last[1] === number - 1) last[1] = number;
    else runs.push([number, number]);
  }
  return runs;
}
