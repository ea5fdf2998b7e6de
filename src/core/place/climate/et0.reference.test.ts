import reference from "../../../../tests/reference/water/et0.json";
import {
  airPressureKpa,
  meanSaturationKpa,
  psychrometricKpaPerC,
  saturationKpa,
  saturationSlope,
  vapourPressureKpa,
  windAt2M,
} from "./air";
import { et0, netLongwave } from "./et0";
import { clearSkyRadiation, radiationFromSunshine, radiationFromTemperatures, sunOfDay } from "./sun";
import { et0UnderCover } from "./underCover";

// eslint-disable-next-line @typescript-eslint/no-explicit-any -- reference files hold many shapes
type Case = { name: string; kind: string; given: any; expect: any; tolerance: any };
const of = (...kinds: readonly string[]) => (reference.cases as Case[]).filter(({ kind }) => kinds.includes(kind));
const near = (found: number, want: number | undefined, most: number) => {
  if (want !== undefined) expect(Math.abs(found - want)).toBeLessThanOrEqual(most);
};

test.each(of("ra", "daylightHours"))("sun: $name", ({ given, expect: want, tolerance }) => {
  const found = sunOfDay(given.latitudeDeg, given.dayOfYear);
  near(found.extraterrestrialMjPerM2Day, want.raMJPerM2Day, tolerance.abs);
  near(found.daylightHours, want.daylightHours ?? want.hours, tolerance.hoursAbs ?? tolerance.abs);
  near(found.declinationRad, want.declinationRad, 0.005);
  near(found.inverseDistance, want.inverseDistance, tolerance.angleAbs);
  near(found.sunsetHourAngleRad, want.sunsetHourAngleRad, tolerance.angleAbs);
});

test("air: the paper's examples of pressure, saturation, humidity, wind and heat lost to the sky", () => {
  for (const { kind, given, expect: want, tolerance } of of(
    "atmosphericPressure",
    "meanSaturationVapourPressure",
    "actualVapourPressureFromRh",
    "wind2m",
    "rnl",
    "rsHargreaves",
    "delta",
  ))
    switch (kind) {
      case "atmosphericPressure":
        near(airPressureKpa(given.elevationM), want.pressureKPa, tolerance.abs);
        break;
      case "meanSaturationVapourPressure":
        near(saturationKpa(given.tMaxC), want.e0AtTmaxKPa, tolerance.abs);
        near(saturationKpa(given.tMinC), want.e0AtTminKPa, tolerance.abs);
        near(meanSaturationKpa(given.tMaxC, given.tMinC), want.esKPa, tolerance.abs);
        break;
      case "actualVapourPressureFromRh":
        near(
          vapourPressureKpa(given.tMaxC, given.tMinC, given.rhMaxPct / 100, given.rhMinPct / 100),
          want.eaKPa,
          tolerance.abs,
        );
        break;
      case "wind2m":
        near(windAt2M(given.windMPerS, given.heightM), want.windAt2mMPerS, tolerance.abs);
        break;
      case "rnl": {
        const ratio = given.rsMJPerM2Day / given.rsoMJPerM2Day;
        near(netLongwave(given.tMaxC, given.tMinC, given.eaKPa, ratio), want.rnlMJPerM2Day, tolerance.abs);
        break;
      }
      case "rsHargreaves": {
        const sun = sunOfDay(given.latitudeDeg, given.dayOfYear);
        near(sun.extraterrestrialMjPerM2Day, want.raMJPerM2Day, tolerance.abs);
        near(radiationFromTemperatures(sun, given.tMaxC, given.tMinC, given.kRs), want.rsMJPerM2Day, tolerance.abs);
        break;
      }
      case "delta":
        near(saturationSlope(given.tC), want.deltaKPaPerC, tolerance.rel * want.deltaKPaPerC);
        break;
    }
});

test.each(of("et0"))("ET0: $name", ({ given, expect: want, tolerance }) => {
  const sun = sunOfDay(given.latitudeDeg, given.dayOfYear);
  const rs = given.rsFromTemperatures
    ? radiationFromTemperatures(sun, given.tMaxC, given.tMinC, given.kRs)
    : radiationFromSunshine(sun, given.sunshineHours);
  const rso = clearSkyRadiation(sun, given.elevationM);
  const ea = given.eaFromTmin
    ? saturationKpa(given.tMinC)
    : (given.eaKPa ?? vapourPressureKpa(given.tMaxC, given.tMinC, given.rhMaxPct / 100, given.rhMinPct / 100));
  const wind = given.windAt2mMPerS ?? windAt2M(given.windMPerS, given.windHeightM);
  const found = et0({
    highestC: given.tMaxC,
    lowestC: given.tMinC,
    vapourPressureKpa: ea,
    windAt2MMPerS: wind,
    elevationM: given.elevationM,
    radiationMjPerM2Day: rs,
    skyRatio: rs / rso,
    longwaveOpenness: 1,
    soilHeatMjPerM2Day: given.soilHeatFluxMJPerM2Day,
  });
  near(found.mmPerDay, want.et0MmPerDay, tolerance.et0Abs);
  near(sun.extraterrestrialMjPerM2Day, want.raMJPerM2Day, tolerance.abs);
  near(rs, want.rsMJPerM2Day, tolerance.abs);
  near(rso, want.rsoMJPerM2Day, tolerance.abs);
  near(found.netShortwaveMjPerM2Day, want.rnsMJPerM2Day, tolerance.abs);
  near(found.netLongwaveMjPerM2Day, want.rnlMJPerM2Day, tolerance.abs);
  near(wind, want.windAt2mMPerS, tolerance.abs);
  if (want.gammaKPaPerC !== undefined)
    near(psychrometricKpaPerC(airPressureKpa(given.elevationM)), want.gammaKPaPerC, tolerance.gammaAbs);
});

test.each(of("et0UnderCover"))("ET0 inside: $name", ({ given, expect: want, tolerance }) => {
  const sun = sunOfDay(given.latitudeDeg, given.dayOfYear);
  const rs = radiationFromTemperatures(sun, given.outsideTMaxC, given.outsideTMinC, given.kRs);
  const found = et0UnderCover({
    cover: given.coverKind,
    transmissivity: given.coverTransmissivity,
    shadeShare: given.shadeShare,
    longwaveOpenness: given.longwaveOpenness,
    elevationM: given.elevationM,
    radiationMjPerM2Day: rs,
    clearSkyMjPerM2Day: clearSkyRadiation(sun, given.elevationM),
    windAt2MMPerS: given.outsideWindMPerS,
    highestC: given.insideTMaxC,
    lowestC: given.insideTMinC,
    vapourPressureKpa: vapourPressureKpa(
      given.insideTMaxC,
      given.insideTMinC,
      given.insideRhMaxPct / 100,
      given.insideRhMinPct / 100,
    ),
  });
  near(rs, want.rsOutsideMJPerM2Day, tolerance.abs);
  near(found.radiationInsideMjPerM2Day, want.rsInsideMJPerM2Day, tolerance.abs);
  near(found.windInsideMPerS, want.windInsideMPerS, 1e-9);
  near(found.netLongwaveMjPerM2Day, want.rnlMJPerM2Day, tolerance.abs);
  near(found.mmPerDay, want.et0InsideMmPerDay, tolerance.et0Abs);
});
