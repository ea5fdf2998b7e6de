import { requireRange } from "../units/range";
import { sitesIn } from "./fit";

/** A part of a line with a pitch of its own; plants move along from zone to zone. */
export interface Zone {
  readonly lengthM: number;
  readonly pitchM: number;
}

export interface GradedLine {
  readonly sitesByZone: readonly number[];
  readonly sites: number;
  /** Where every site stands, from the head of the line. */
  readonly siteAtM: readonly number[];
}

/**
 * Sites of a line with zones of different pitch, close for young plants and wide for old ones. A zone's first site stands
 * at max(zone start, last site + the wider of the two pitches), the very first at max(zone start, m); sites go on at the
 * zone's pitch up to its end, the last zone's up to L − m.
 *
 * @param lengthM of the line, 0–500 m
 * @param endMarginM from an end to the centre of the first hole, 0–50 m
 * @param zones from the head on, each with its length and pitch in m
 * @returns the count by zone and in all, and each site's distance from the head
 * @throws RangeError when an argument is outside its range
 * @source domain rules of counting; cases in tests/reference/place/counts.json
 * @example gradedLine(6, 0.1, [{ lengthM: 2.1, pitchM: 0.1 }, { lengthM: 3.9, pitchM: 0.2 }]).sitesByZone // [21, 19]
 */
export function gradedLine(lengthM: number, endMarginM: number, zones: readonly Zone[]): GradedLine {
  requireRange("gradedLine", "lengthM", lengthM, 0, 500);
  requireRange("gradedLine", "endMarginM", endMarginM, 0, 50);
  const siteAtM: number[] = [];
  const sitesByZone: number[] = [];
  let startM = 0;
  let lastPitchM = 0;
  for (const zone of zones) {
    requireRange("gradedLine", "pitchM", zone.pitchM, 0.005, 50);
    requireRange("gradedLine", "zone lengthM", zone.lengthM, 0, 500);
    const endM = Math.min(startM + zone.lengthM, lengthM - endMarginM);
    const last = siteAtM.at(-1);
    const firstM =
      last === undefined ? Math.max(startM, endMarginM) : Math.max(startM, last + Math.max(lastPitchM, zone.pitchM));
    const sites = sitesIn(endM - firstM, zone.pitchM);
    for (let site = 0; site < sites; site++) siteAtM.push(firstM + site * zone.pitchM);
    if (sites > 0) lastPitchM = zone.pitchM;
    sitesByZone.push(sites);
    startM += zone.lengthM;
  }
  return { sitesByZone, sites: siteAtM.length, siteAtM };
}

/**
 * Sites that each zone needs so that a weekly number of plants can stay in it for its weeks.
 *
 * @param plantsPerWeek that come to the head of the line, 0–100 000
 * @param weeksByZone spent in each zone, 0–52
 * @source Little's law: what is there = what comes × how long it stays
 * @example zonesForRate(10, [2, 3]) // [20, 30]
 */
export function zonesForRate(plantsPerWeek: number, weeksByZone: readonly number[]): number[] {
  requireRange("zonesForRate", "plantsPerWeek", plantsPerWeek, 0, 100_000);
  return weeksByZone.map((weeks) => {
    requireRange("zonesForRate", "weeks", weeks, 0, 52);
    return Math.ceil(plantsPerWeek * weeks - 1e-9);
  });
}
