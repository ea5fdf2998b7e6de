import climate from "../../../../tests/reference/growth/climate.json";
import light from "../../../../tests/reference/growth/light.json";
import { dayFromIso, dayOfYear } from "../../units/day";
import { degreeHours, heaterW, heatLossWPerK, heatMat, heldC } from "./heating";
import { lampPower, lampStrength, lightFor } from "./lamps";
import { clearSkyRadiation, dailyLightMol, sunOfDay } from "./sun";
import { ventsAgainst } from "./vents";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; kind?: string; given: any; expect: any };
const of = (kind: string) => (climate.cases as Case[]).filter((one) => one.kind === kind);
const ofLight = (kind: string) => (light.cases as Case[]).filter(({ given }) => given.kind === kind);
const near = (found: number, wanted: number) =>
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(wanted)));

test.each(of("heatLoss"))("heat lost: $name", ({ given, expect: want }) => {
  const air =
    given.volumeM3 === undefined ? null : { volumeM3: given.volumeM3, changesPerHour: given.airChangesPerHour };
  const loss = heatLossWPerK(given.parts, air);
  near(loss, want.uaWPerK);
  near(heaterW(loss, given.setPointC, given.coldestOutsideC), want.heaterW);
  if (want.holdsC != null)
    near(heldC(given.heaterHasW ?? given.heaterW, loss, given.setPointC, given.coldestOutsideC), want.holdsC);
});

test.each(of("heatEnergy"))("heat of a day: $name", ({ given, expect: want }) => {
  const found = degreeHours(given.setPointC, given.minC, given.maxC);
  near(found.degreeHours, want.degreeHours);
  near(found.hours, want.hoursOfHeating);
  near((found.degreeHours * given.uaWPerK) / 1000 / given.efficiency, want.energyInKwhPerDay);
  near(heaterW(given.uaWPerK, given.setPointC, given.minC), want.greatestW);
});

test.each(of("heatDays"))("heat of days: $name", ({ given, expect: want }) => {
  const days = (given.days as { minC: number; maxC: number }[]).map(
    ({ minC, maxC }) => (degreeHours(given.setPointC, minC, maxC).degreeHours * given.uaWPerK) / 1000,
  );
  days.forEach((kwh, at) => near(kwh, want.heatKwhByDay[at]));
});

test.each(of("heatMat"))("a mat: $name", ({ given, expect: want }) => {
  const areaM2 = given.trays * given.trayLengthM * given.trayWidthM;
  const mat = { uWPerM2K: given.uWPerM2K, areaM2, setPointC: given.setPointC, hasWPerM2: given.matWattsPerM2 ?? 160 };
  const found = heatMat(mat, { lowestC: given.roomMinC, highestC: given.roomMaxC });
  near(found.wattsNeeded, want.wattsNeeded);
  near(found.wattsPerM2, want.wattsPerM2);
  near(found.kwhPerDay, want.energyKwhPerDay);
  if (want.matIsEnough !== undefined) expect(found.isEnough).toBe(want.matIsEnough);
  if (want.trayAtRoomMinC != null) near(found.heldC, want.trayAtRoomMinC);
});

test.each(of("dayLength"))("day length: $name", ({ given, expect: want }) =>
  near(sunOfDay(given.latitudeDeg, given.dayOfYear).daylightHours, want.dayLengthHours),
);

test.each(of("vents"))("vents: $name", ({ given, expect: want }) => {
  const found = ventsAgainst(given.groundM2, given.roofVentsM2, given.sideVentsM2, given.wantedShareOfGround);
  near(found.shareOfGround, want.shareOfGround);
  expect(found.isEnough).toBe(want.meetsRuleOfThumb);
  near(found.missingM2, want.missingM2);
});

const sunMol = (given: Case["given"]) =>
  dailyLightMol(
    clearSkyRadiation(sunOfDay(given.latitudeDeg, dayOfYear(dayFromIso(given.date))), given.elevationM) *
      given.coverTransmissivity,
  );

test.each(of("lightForDli"))("light for a wanted day: $name", ({ given, expect: want }) => {
  const sun = sunMol(given);
  near(sun, want.dliSunMolPerM2Day);
  const lamps = { umolPerM2S: given.umolPerM2S, longestHours: given.longestLampHours };
  const found = lightFor(sun, given.wantedDliMolPerM2Day, lamps);
  near(found.shadeShare, want.shadeShare);
  near(found.lampHoursWanted, want.lampHoursWanted);
  near(found.lampHours, want.lampHours);
  near(found.reachedMol, want.dliReachedMolPerM2Day);
  near(found.shortMol, want.shortMolPerM2Day);
  if (want.lampW === undefined) return;
  const power = { ...given, umolPerJ: given.lampUmolPerJoule, hours: found.lampHours, pricePerKwh: 0 };
  near(lampPower(power).watts, want.lampW);
  near(lampPower(power).kwhPerDay, want.lampKwhPerDay);
});

test.each(of("lampPower"))("lamps: $name", ({ given, expect: want }) => {
  const found = lampPower({ ...given, umolPerJ: given.lampUmolPerJoule, hours: given.hoursPerDay });
  near(found.watts, want.lampW);
  near(found.kwhPerDay, want.kwhPerDay);
  near(found.costPerDay, want.costPerDay);
});

test.each(ofLight("shadeForDli"))("shade: $name", ({ given, expect: want }) => {
  const found = lightFor(sunMol(given), given.wantedDliMolPerM2Day, { umolPerM2S: 0, longestHours: 0 });
  near(found.shadeShare, want.shadeShare);
  near(found.shortMol, want.shortMolPerM2Day);
});

test.each(ofLight("lampsForDli"))("lamps for a wanted day: $name", ({ given, expect: want }) => {
  const missing = Math.max(0, given.wantedDliMolPerM2Day - given.dliSunMolPerM2Day);
  if (given.hoursPerDay !== undefined) return near(lampStrength(missing, given.hoursPerDay), want.umolPerM2S);
  const lamps = { umolPerM2S: given.umolPerM2S, longestHours: 24 };
  const found = lightFor(given.dliSunMolPerM2Day, given.wantedDliMolPerM2Day, lamps);
  near(found.lampHoursWanted, want.hoursPerDay);
  expect(found.shortMol < 1e-9).toBe(want.possible);
});
