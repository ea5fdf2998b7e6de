import fc from "fast-check";
import { emitterFlowLph } from "./emitter";
import { flushing } from "./flushing";
import { solveLateral, type Lateral } from "./lateral";
import { longestLateral } from "./longestLateral";
import { pipeHeadLossM } from "./pipeFriction";
import { euVerdict, uniformity } from "./uniformity";

const LINE: Lateral = {
  pipe: { boreMm: 13.6 },
  emitter: { nominalFlowLph: 2, nominalHeadM: 10, exponent: 0.5, leastHeadM: null },
  count: 50,
  spacingM: 0.3,
  firstSpacingM: 0.3,
  slopeRise: 0,
  equivalentLengthM: 0.1,
};
const laterals = fc.record({
  boreMm: fc.double({ min: 6, max: 40, noNaN: true }),
  nominalFlowLph: fc.double({ min: 0.3, max: 8, noNaN: true }),
  exponent: fc.double({ min: 0.5, max: 1, noNaN: true }),
  count: fc.integer({ min: 1, max: 300 }),
  spacingM: fc.double({ min: 0.05, max: 1, noNaN: true }),
  slopeRise: fc.integer({ min: -30, max: 30 }).map((perMille) => perMille / 1000),
  inletHeadM: fc.double({ min: 0.2, max: 30, noNaN: true }),
});

/** Gently downhill: in its middle hardly any head is left, and its far end has some again. */
const NEARLY_DRY = {
  boreMm: 6,
  nominalFlowLph: 1.2375112576545075,
  exponent: 0.5,
  count: 201,
  spacingM: 0.7904745885849049,
  slopeRise: -0.001,
  inletHeadM: 0.2,
};

test("any line ends at the head of its inlet, segment by segment, and what goes in comes out", () => {
  fc.assert(
    fc.property(laterals, ({ boreMm, nominalFlowLph, exponent, inletHeadM, ...own }) => {
      const emitter = { ...LINE.emitter, nominalFlowLph, exponent };
      const line: Lateral = { ...LINE, ...own, pipe: { boreMm }, emitter };
      const { headsM, flowsLph, totalLph } = solveLateral(line, inletHeadM);
      let [headM, left] = [inletHeadM, totalLph];
      headsM.forEach((at, index) => {
        const lengthM = index === 0 ? line.firstSpacingM : line.spacingM;
        const run = { boreMm, fittingsK: 0, lengthM: lengthM + line.equivalentLengthM };
        headM -= pipeHeadLossM(Math.max(0, left), run) + line.slopeRise * lengthM;
        expect(Math.abs(headM - at)).toBeLessThan(1e-6);
        // Near no head at all the flow tells the head better than the head the flow.
        expect(flowsLph[index]).toBeGreaterThan(emitterFlowLph(emitter, at - 1e-7) - 1e-9);
        expect(flowsLph[index]).toBeLessThan(emitterFlowLph(emitter, at + 1e-7) + 1e-9);
        left -= flowsLph[index]!;
      });
      expect(Math.abs(left)).toBeLessThan(1e-9 * Math.max(1, totalLph));
    }),
    { numRuns: 60, examples: [[NEARLY_DRY]] },
  );
});

test("more head never gives any emitter less", () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.5, max: 20, noNaN: true }),
      fc.double({ min: 0.1, max: 5, noNaN: true }),
      (head, more) => {
        const [one, two] = [solveLateral(LINE, head), solveLateral(LINE, head + more)];
        one.flowsLph.forEach((flow, at) => expect(two.flowsLph[at]).toBeGreaterThanOrEqual(flow));
      },
    ),
    { numRuns: 30 },
  );
});

test("a line above its water gives nothing, and says so by its heads", () => {
  const { headsM, totalLph } = solveLateral({ ...LINE, slopeRise: 0.1 }, 0.02);
  expect(totalLph).toBe(0);
  expect(headsM.at(-1)).toBeCloseTo(0.02 - 0.1 * 15, 9);
  expect(uniformity([0, 0, 0], 0.03, 1)).toMatchObject({ cu: null, duLowQuarter: null, eu: null });
});

test("a gentle downhill line is nearly level at its limit, a line whose first emitter is too far has none", () => {
  const downhill = { ...LINE, slopeRise: -0.01 };
  expect(longestLateral(downhill, 5, 0.0168).nearlyLevel).toBe(true);
  expect(longestLateral(LINE, 5, 0.1).nearlyLevel).toBe(false);
  expect(longestLateral({ ...LINE, slopeRise: 1, firstSpacingM: 6 }, 5, 0.1).count).toBe(0);
});

test("emission uniformity has its names, and what is out of range is named", () => {
  expect([0.95, 0.85, 0.75, 0.5].map(euVerdict)).toEqual(["excellent", "good", "fair", "poor"]);
  expect(() => solveLateral({ ...LINE, count: 0 }, 10)).toThrow("count is 0; it must be from 1 to 100000");
  expect(() => solveLateral({ ...LINE, pipe: { boreMm: 0 } }, 10)).toThrow("boreMm is 0; it must be from 0.5 to 2000");
});

test("flushing carries water out of the open end at 0.3 m/s, emitters fed on the way; a falling line helps, a longer one takes more", () => {
  const line = { ...LINE, count: 33, firstSpacingM: 0.15 };
  const level = flushing(line);
  expect(level.endLph).toBeCloseTo(0.3 * (Math.PI * 0.0136 ** 2 * 0.25) * 3_600_000, 6);
  expect(level.inletLph).toBeGreaterThan(level.endLph);
  // What goes in comes out: at the head that was found the emitters give the rest.
  expect(level.headM).toBeLessThan(1.2);
  expect(flushing({ ...line, slopeRise: -0.02 }).headM).toBeLessThan(level.headM);
  expect(flushing({ ...line, count: 100 }).headM).toBeGreaterThan(level.headM);
  // Without emitters it is the friction of the pipe alone.
  const bare = flushing({ ...line, emitter: { ...line.emitter, nominalFlowLph: 0.001 } });
  const pipe = { ...line.pipe, lengthM: 33 * 0.3 + 34 * 0.1, fittingsK: 0 };
  expect(bare.headM).toBeCloseTo(pipeHeadLossM(bare.endLph, pipe), 3);
});
