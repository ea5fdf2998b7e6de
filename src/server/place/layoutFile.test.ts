import fc from "fast-check";
import { STAND_KINDS, STAND_MODELS } from "@/core/place/kinds";
import { LAYOUT_FORMAT, type LayoutDocument } from "@/core/place/layout/document";
import { parsedLayout } from "./layoutFile";

const layout: LayoutDocument = {
  format: LAYOUT_FORMAT,
  version: 2,
  name: "All kinds",
  houses: [{ name: "Hall", lengthM: 60, widthM: 60, heightM: 3, cover: "film", shadeShare: 0.2, xM: 0, yM: 0 }],
  growingAreas: [{ name: "All", cleaningDays: 1 }],
  stands: STAND_KINDS.map((kind, index) => ({
    name: kind,
    house: "Hall",
    growingArea: "All",
    loop: index % 2 === 0 ? "Main" : null,
    xM: 1 + (index % 3) * 14,
    yM: 1 + Math.floor(index / 3) * 12,
    turned: index % 4 === 1,
    spec: STAND_MODELS[kind].example,
  })),
} as LayoutDocument;

/** Every place in the document, as a list of keys. */
function places(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== "object" || value === null) return [path];
  const inside = Object.entries(value).flatMap(([key, part]) =>
    places(part, [...path, Array.isArray(value) ? Number(key) : key]),
  );
  return path.length > 0 ? [path, ...inside] : inside;
}

function changed(value: unknown, [key, ...rest]: readonly (string | number)[], to: unknown): unknown {
  if (key === undefined) return to;
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) };
  (copy as Record<string | number, unknown>)[key] = changed((value as Record<string | number, unknown>)[key], rest, to);
  return copy;
}

test("a layout with every kind of stand is read as it was written", () => {
  expect(parsedLayout(JSON.stringify(layout), ["Main"])).toMatchObject({ kind: "layout", layout });
});

test("whatever is put in one place of a file, it is read or its fault is named with its place, never a crash (seed 13)", () => {
  // One stand a file, of each kind in turn: a place of one is read no differently beside others.
  const all = layout.stands
    .map((stand) => ({ ...layout, stands: [stand] }))
    .flatMap((one) => places(one).map((path) => [one, path] as const));
  const hostile = fc.oneof(
    fc.constantFrom<unknown>(null, true, "", "x".repeat(200), -1, 0, 1e9, 0.5, [], {}, [[]], "__proto__", "a\u0000b"),
    fc.string(),
    fc.double({ noNaN: true }),
  );
  fc.assert(
    fc.property(fc.constantFrom(...all), hostile, ([one, path], value) => {
      const read = parsedLayout(JSON.stringify(changed(one, path, value)), ["Main"]);
      if (read.kind === "layout") return;
      expect(read.faults.length).toBeGreaterThan(0);
      for (const fault of read.faults) expect(fault.finding.kind).toMatch(/\S/u);
      // What was changed, or something that refers to it, is named.
      expect(read.faults.map((fault) => fault.path).join()).toMatch(/format|version|name|houses|growingAreas|stands/u);
    }),
    { seed: 13, numRuns: 600 },
  );
});

test("faults are given twenty at the most", () => {
  const many = { ...layout, stands: Array.from({ length: 30 }, () => ({ name: "" })) };
  const read = parsedLayout(JSON.stringify(many), []);
  expect(read.kind === "faults" && read.faults).toHaveLength(20);
});

test("a file of version 1, whose growing areas were called pools, is read as one of today", () => {
  const { growingAreas, stands, ...rest } = layout;
  const old = {
    ...rest,
    version: 1,
    pools: growingAreas,
    stands: stands.map(({ growingArea, ...stand }) => ({ ...stand, pool: growingArea })),
  };
  expect(parsedLayout(JSON.stringify(old), ["Main"])).toMatchObject({ kind: "layout", layout });
});
