import fc from "fast-check";
import { STAND_KINDS, STAND_MODELS } from "@/core/place/kinds";
import { LAYOUT_FORMAT, type LayoutDocument } from "@/core/place/layout/document";
import { parsedLayout } from "./layoutFile";

const layout: LayoutDocument = {
  format: LAYOUT_FORMAT, version: 1, name: "All kinds",
  houses: [{ name: "Hall", lengthM: 60, widthM: 60, heightM: 3, cover: "film", shadeShare: 0.2, xM: 0, yM: 0 }],
  pools: [{ name: "All", cleaningDays: 1 }],
  stands: STAND_KINDS.map((kind, index) => ({
    name: kind, house: "Hall", pool: "All", loop: index % 2 === 0 ? "Main" : null, xM: 1 + (index % 3) * 14, yM: 1 + Math.floor(index / 3) * 12, turned: index % 4 === 1, spec: STAND_MODELS[kind].example,
  })),
} as LayoutDocument; // prettier-ignore

/** Every place in the document, as a list of keys. */
function places(value: unknown, path: readonly (string | number)[] = []): (readonly (string | number)[])[] {
  if (typeof value !== "object" || value === null) return [path];
  const inside = Object.entries(value).flatMap(([key, part]) => places(part, [...path, Array.isArray(value) ? Number(key) : key])); // prettier-ignore
  return path.length > 0 ? [path, ...inside] : inside;
}

function changed(value: unknown, [key, ...rest]: readonly (string | number)[], to: unknown): unknown {
  if (key === undefined) return to;
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) };
  (copy as Record<string | number, unknown>)[key] = changed((value as Record<string | number, unknown>)[key], rest, to);
  return copy;
}

test("a layout with every kind of stand is read as it was written", () => {
  expect(parsedLayout(JSON.stringify(layout), ["Main"])).toEqual({ kind: "layout", layout });
});

test("whatever stands in one place of a file, it is read or its fault is told with a place, never a crash (seed 13)", () => {
  const all = places(layout);
  const nasty = fc.oneof(
    fc.constantFrom<unknown>(null, true, "", "x".repeat(200), -1, 0, 1e9, 0.5, [], {}, [[]], "__proto__", "a\u0000b"),
    fc.string(),
    fc.double({ noNaN: true }),
  );
  fc.assert(
    fc.property(fc.constantFrom(...all), nasty, (path, value) => {
      const read = parsedLayout(JSON.stringify(changed(layout, path, value)), ["Main"]);
      if (read.kind === "layout") return;
      expect(read.faults.length).toBeGreaterThan(0);
      for (const fault of read.faults) expect(fault.message).toMatch(/\S/u);
      // What was changed, or something that refers to it, is named.
      expect(read.faults.map((fault) => fault.path).join()).toMatch(/format|version|name|houses|pools|stands/u);
    }),
    { seed: 13, numRuns: 600 },
  );
});

test("faults are given twenty at the most", () => {
  const many = { ...layout, stands: Array.from({ length: 30 }, () => ({ name: "" })) };
  const read = parsedLayout(JSON.stringify(many), []);
  expect(read.kind === "faults" && read.faults).toHaveLength(20);
});
