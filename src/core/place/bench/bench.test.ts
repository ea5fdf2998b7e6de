import fc from "fast-check";
import { clearance, type Assembly } from "./assembly";
import { bestPattern } from "./cutPattern";
import { oneLargeOffcut } from "./largeOffcut";

const rail: Assembly = {
  name: "Rail",
  pieces: [{ lengthMm: 600, count: 1 }],
  fittings: [],
  otherMm: 600,
  way: "takes-a-piece",
};

test("a cross member as long as what must fit between its posts leaves nothing, and fittings take up on their sides", () => {
  expect(clearance(rail)).toEqual({ totalMm: 600, playMm: 0, verdict: "exact" });
  expect(clearance({ ...rail, otherMm: 598 }).verdict).toBe("tight");
  expect(clearance({ ...rail, otherMm: 590 }).verdict).toBe("fits");
  expect(clearance({ ...rail, otherMm: 601 })).toMatchObject({ playMm: -1, verdict: "too-long" });
  const coupled: Assembly = {
    ...rail,
    pieces: [
      { lengthMm: 600, count: 2 },
      { lengthMm: 150, count: 1 },
    ],
    fittings: [
      { name: "coupling", count: 2, takeUpMm: 3, sides: 2 },
      { name: "elbow", count: 2, takeUpMm: 20, sides: 1 },
    ],
    otherMm: 1400,
    way: "fits-a-space",
  };
  expect(clearance(coupled)).toEqual({ totalMm: 1402, playMm: -2, verdict: "too-long" });
  expect(() => clearance({ ...rail, otherMm: -1 })).toThrow("otherMm is -1");
});

test("the best filling of a bar is as good as any that trying them all finds, in steps of any size (seed 11)", () => {
  const kind = fc.record({
    weight: fc.integer({ min: 1, max: 20 }),
    value: fc.integer({ min: 0, max: 9 }),
    most: fc.integer({ min: 0, max: 4 }),
  });
  const best = (kinds: readonly { weight: number; value: number; most: number }[], room: number): number => {
    const [first, ...rest] = kinds;
    if (!first) return 0;
    const times = Math.min(first.most, Math.floor(room / first.weight));
    return Math.max(
      ...Array.from({ length: times + 1 }, (_, taken) => taken * first.value + best(rest, room - taken * first.weight)),
    );
  };
  fc.assert(
    fc.property(
      fc.array(kind, { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 0, max: 60 }),
      fc.constantFrom(1, 25),
      (kinds, room, step) => {
        const weights = kinds.map(({ weight }) => weight * step);
        const rooms = [room * step + step - 1, Math.floor(room / 2) * step];
        const found = bestPattern(
          weights,
          kinds.map(({ value }) => value),
          kinds.map(({ most }) => most),
          rooms,
        );
        expect(found.map(({ value }) => value)).toEqual([best(kinds, room), best(kinds, Math.floor(room / 2))]);
        for (const [index, { counts }] of found.entries()) {
          expect(counts.every((count, one) => count <= kinds[one]!.most)).toBe(true);
          expect(counts.reduce((sum, count, one) => sum + count * weights[one]!, 0)).toBeLessThanOrEqual(rooms[index]!);
        }
      },
    ),
    { seed: 11, numRuns: 200 },
  );
});

test("what is left over goes into one bar: the same bars, the same pieces, and no smaller offcut (seed 9)", () => {
  // 600 and 400 left in two bars become 1000 in one.
  const moved = oneLargeOffcut(
    [
      { bar: 0, cuts: [800, 600] },
      { bar: 0, cuts: [1000, 600] },
      { bar: 0, cuts: [400] },
    ],
    [2000],
    0,
  );
  expect(Math.max(...moved.map(({ cuts }) => 2000 - cuts.reduce((a, b) => a + b, 0)))).toBe(2000);
  const piece = fc.integer({ min: 50, max: 900 });
  fc.assert(
    fc.property(fc.array(piece, { minLength: 1, maxLength: 25 }), fc.integer({ min: 0, max: 5 }), (pieces, sawCut) => {
      const bars: { bar: number; cuts: number[] }[] = [];
      for (const cut of pieces) {
        const last = bars.at(-1);
        if (last && last.cuts.reduce((sum, own) => sum + own + sawCut, 0) + cut <= 1000) last.cuts.push(cut);
        else bars.push({ bar: 0, cuts: [cut] });
      }
      const left = (all: readonly { cuts: readonly number[] }[]) =>
        Math.max(...all.map(({ cuts }) => 1000 + sawCut - cuts.reduce((sum, own) => sum + own + sawCut, 0)));
      const pushed = oneLargeOffcut(bars, [1000], sawCut);
      expect(pushed.flatMap(({ cuts }) => cuts).sort()).toEqual([...pieces].sort());
      for (const { cuts } of pushed)
        expect(cuts.reduce((sum, own) => sum + own + sawCut, 0)).toBeLessThanOrEqual(1000 + sawCut);
      expect(left(pushed)).toBeGreaterThanOrEqual(left(bars));
    }),
    { seed: 9, numRuns: 100 },
  );
});
