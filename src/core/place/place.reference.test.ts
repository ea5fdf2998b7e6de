import counts from "../../../tests/reference/place/counts.json";
import heldWater from "../../../tests/reference/place/held-water.json";
import { bedPlants } from "./bedPlants";
import { densities } from "./density";
import { rectangularChannelL } from "./heldWater";
import { lineSites, webBetweenHoles } from "./lineSites";
import { trayRack } from "./trayRack";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; given: any; expect: any; kind?: string };
const all = counts.cases as Case[];
const ofKind = (kind: string) => all.filter((entry) => entry.given.kind === kind);

test.each(ofKind("line"))("sites on a line: $name", ({ given, expect: want }) => {
  const line = lineSites(given.lengthM, given.endMarginM, given.pitchM);
  expect(line.sites).toBe(want.sites);
  near(line.slackM, want.slackM);
  near(line.evenedPitchM, want.evenedPitchM);
  if (given.holeMm !== undefined && want.webMm !== undefined) {
    const web = webBetweenHoles(given.pitchM, given.holeMm);
    expect(web.webMm).toBeCloseTo(want.webMm, 6);
    expect(web.tooThin).toBe(want.webTooThin);
  }
});

test.each(ofKind("bed"))("plants in a bed: $name", ({ given, expect: want }) => {
  const bed = bedPlants(given);
  expect(bed.plants).toBe(want.plants);
  expect(bed.plantsByRow).toEqual(want.plantsByRow);
  near(bed.rowGapM, want.rowGapM);
  near(bed.nearestNeighbourM, want.nearestNeighbourM);
});

test.each(ofKind("trayRack"))("trays on racks: $name", ({ given, expect: want }) => {
  const rack = trayRack(given);
  expect([rack.traysPerShelf, rack.traysLengthwise, rack.traysCrosswise, rack.trays, rack.cells]).toEqual([
    want.traysPerShelf, want.trayLengthAlongShelfLength, want.trayLengthAcrossShelf, want.trays, want.cells,
  ]); // prettier-ignore
});

test.each(ofKind("density"))("density: $name", ({ given, expect: want }) => {
  const found = densities(
    given.plantsPerLine * given.lines,
    given.lines * given.lineLengthM * given.lineWidthM,
    given.standWithAislesLengthM * given.standWithAislesWidthM,
    given.houseLengthM * given.houseWidthM,
  );
  near(found.perM2OfLine, want.perM2OfLine);
  near(found.perM2OfStand, want.perM2OfStandWithAisles);
  near(found.perM2OfHouse, want.perM2OfHouse);
});

test.each((heldWater.cases as Case[]).filter((entry) => entry.kind === "rectangularChannel"))(
  "water held: $name",
  ({ given, expect: want }) =>
    near(rectangularChannelL(given.widthMm, given.waterDepthMm, given.lengthM, given.lines), want.volumeL),
);

function near(found: number | null, want: number | null) {
  if (want === null) expect(found).toBeNull();
  else expect(found).toBeCloseTo(want, 8);
}
