import fc from "fast-check";
import { gradedLine } from "./gradedLine";
import { lineSites } from "./lineSites";
import { linesIntoHouse } from "./linesIntoHouse";
import { raftSites } from "./raft";
import { noonElevationDeg } from "./towers";

const SEED = { seed: 4, numRuns: 500 };
const metres = (min: number, max: number) => fc.double({ min, max, noNaN: true });

test("a count never reaches past its line or its area, and one more would", () => {
  fc.assert(
    fc.property(metres(0.1, 30), metres(0, 1), metres(0.02, 2), (lengthM, marginM, pitchM) => {
      const { sites } = lineSites(lengthM, marginM, pitchM);
      if (sites === 0) return lengthM - 2 * marginM < 0;
      const lastM = marginM + (sites - 1) * pitchM;
      return lastM <= lengthM - marginM + 0.001 + 1e-8 && lastM + pitchM > lengthM - marginM + 0.001 - 1e-8;
    }),
    SEED,
  );
});

test("hexagonal packing is never less than half of square, and neither holds more than its area can", () => {
  fc.assert(
    fc.property(
      metres(0.1, 6),
      metres(0.1, 6),
      metres(0, 0.05),
      metres(0.05, 0.5),
      (lengthM, widthM, edgeMarginM, pitchM) => {
        const raft = { lengthM, widthM, edgeMarginM, pitchM };
        const square = raftSites({ ...raft, packing: "square" }).sites;
        const hexagonal = raftSites({ ...raft, packing: "hexagonal" }).sites;
        // A disc of the pitch around each site, in the rectangle grown by half a pitch all round.
        const roomM2 = (lengthM - 2 * edgeMarginM + pitchM + 0.001) * (widthM - 2 * edgeMarginM + pitchM + 0.001);
        const most = roomM2 / ((pitchM * pitchM * Math.sqrt(3)) / 2);
        return 2 * hexagonal >= square && square <= roomM2 / (pitchM * pitchM) + 1e-6 && hexagonal <= most + 1e-6;
      },
    ),
    SEED,
  );
});

test("a graded line keeps at least the wider pitch between zones, and one zone is a plain line", () => {
  fc.assert(
    fc.property(
      metres(1, 10),
      metres(0, 0.3),
      fc.array(fc.record({ lengthM: metres(0.1, 4), pitchM: metres(0.05, 0.6) }), { minLength: 1, maxLength: 4 }),
      (lengthM, marginM, zones) => {
        const line = gradedLine(lengthM, marginM, zones);
        const least = Math.min(...zones.map(({ pitchM }) => pitchM));
        const apart = line.siteAtM.every((at, index) => index === 0 || at - line.siteAtM[index - 1]! >= least - 1e-9);
        const inside = line.siteAtM.every((at) => at >= marginM - 1e-9 && at <= lengthM - marginM + 0.001 + 1e-9);
        const plain = gradedLine(lengthM, marginM, [{ lengthM, pitchM: least }]).sites;
        return apart && inside && Math.abs(plain - lineSites(lengthM, marginM, least).sites) <= 0;
      },
    ),
    SEED,
  );
});

test("a house is filled as far as it goes", () => {
  fc.assert(
    fc.property(
      metres(2, 20),
      metres(0.1, 1.2),
      metres(0, 0.3),
      metres(0.3, 1.2),
      fc.integer({ min: 1, max: 8 }),
      (houseWidthM, lineWidthM, gapM, aisleM, linesPerBlock) => {
        const found = linesIntoHouse({
          houseWidthM,
          lineWidthM,
          gapM,
          aisleM,
          linesPerBlock,
          sideClearanceM: 0.1,
          aisleInsisted: false,
        });
        const nextM = found.linesAcross % linesPerBlock === 0 ? found.aisleUsedM : gapM;
        return (
          found.usedWidthM <= houseWidthM - 0.2 + 0.0011 &&
          (found.linesAcross === 0 || found.leftOverM < nextM + lineWidthM)
        );
      },
    ),
    SEED,
  );
});

test("bad measures are named, and the noon sun stands where the almanac has it", () => {
  expect(() => raftSites({ lengthM: 1, widthM: 1, edgeMarginM: 0, pitchM: 0, packing: "square" })).toThrow(
    /raftSites.*pitchM/u,
  );
  expect(() => gradedLine(6, 0.1, [{ lengthM: -1, pitchM: 0.1 }])).toThrow(/zone lengthM/u);
  // Solstices and equinox at 37.2° N, from the obliquity of 23.44°.
  expect(noonElevationDeg(37.2, 172)).toBeCloseTo(90 - 37.2 + 23.44, 0);
  expect(noonElevationDeg(37.2, 355)).toBeCloseTo(90 - 37.2 - 23.44, 0);
  expect(noonElevationDeg(37.2, 81)).toBeCloseTo(90 - 37.2, 0);
});
