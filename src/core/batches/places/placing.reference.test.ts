import cases from "../../../../tests/reference/batches/placing.json";
import { placeStays } from "./placeStays";
import type { PlacingProblem, SiteRange } from "./types";

interface Case {
  readonly name: string;
  readonly given: PlacingProblem;
  readonly expect: {
    readonly allPlaced: boolean;
    readonly plantsLeftOut: number;
    readonly staysLeftOut: number;
    readonly leftOutIsOneOf: readonly (readonly string[])[];
    readonly linesTouched: number;
  };
}

/** No two on one site and day, each whole and on one range a line, pins where they were. */
function standsRight(
  { lines, stays, cleaningDays }: PlacingProblem,
  placed: ReadonlyMap<string, readonly SiteRange[]>,
) {
  const held = new Map<string, string>();
  for (const stay of stays) {
    const ranges = placed.get(stay.id);
    if (!ranges) continue;
    expect(ranges.reduce((sum, { count }) => sum + count, 0)).toBe(stay.plants);
    expect(new Set(ranges.map(({ line }) => line)).size).toBe(ranges.length);
    if (stay.pinned) expect(ranges).toEqual(stay.pinned);
    for (const { line, first, count } of ranges) {
      expect(first + count - 1).toBeLessThanOrEqual(lines.find(({ id }) => id === line)!.sites);
      if (stay.allowedLines) expect(stay.allowedLines).toContain(line);
      for (let site = first; site < first + count; site++)
        for (let day = stay.from; day < stay.to + cleaningDays; day++) {
          const key = `${line}/${site}/${day}`;
          expect(held.get(key)).toBeUndefined();
          held.set(key, stay.id);
        }
    }
  }
}

test.each(cases.cases as unknown as Case[])("$name", ({ given, expect: wanted }) => {
  const found = placeStays(given);
  standsRight(given, found.placed);
  expect(found).toMatchObject({ plantsLeftOut: wanted.plantsLeftOut, linesTouched: wanted.linesTouched });
  expect(found.leftOut.length).toBe(wanted.staysLeftOut);
  if (!wanted.allPlaced) expect(wanted.leftOutIsOneOf).toContainEqual([...found.leftOut].sort());
  expect(found.proof).not.toBe("none");
});
