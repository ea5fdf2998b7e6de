import { degreeHours, heaterW, heatLossWPerK, heldC } from "../place/climate/heating";
import { envelope, type Envelope } from "../place/climate/envelope";
import type { Cover } from "../place/climate/houseAir";
import type { OutsideDay } from "../place/climate/normals";
import { ventsAgainst } from "../place/climate/vents";
import { civilDate, dayFromIso, MONTHS } from "../units/day";
import type { House } from "./garden";

/** U of covers, W/m²K; none under net or in the open, where nothing can be heated. @source common practice */
export const U_OF_COVER: Readonly<Record<Cover, number | null>> = {
  film: 6.5,
  glass: 6,
  polycarbonate: 3.3,
  solid: 2,
  net: null,
  open: null,
};

/** What a house needs and has against cold and heat. */
export interface HouseHeat extends Envelope {
  readonly uWPerM2K: number;
  readonly lossWPerK: number;
  /** Of it by the air that is changed. */
  readonly airWPerK: number;
  /** For its set point on the coldest night; null where it is not heated. */
  readonly heaterW: number | null;
  /** What its heater holds on that night; null where none is told. */
  readonly heldC: number | null;
  /** kWh of heat by month, January first; null where it is not heated. */
  readonly kwhByMonth: readonly number[] | null;
  readonly vents: ReturnType<typeof ventsAgainst> | null;
}

/**
 * Heat of a house: what it loses, the heater for its set point, and the energy of a normal year, day by day.
 *
 * @param outside the days of a normal year
 * @param coldestC the coldest night that the heater has to hold
 * @returns null where nothing can be heated: under net and in the open
 */
export function houseHeat(house: House, outside: readonly OutsideDay[], coldestC: number): HouseHeat | null {
  const uWPerM2K = house.uWPerM2K ?? U_OF_COVER[house.cover];
  if (U_OF_COVER[house.cover] === null || uWPerM2K === null) return null;
  const shell = envelope({ ...house, wallM: house.heightM });
  const parts = [{ uWPerM2K, areaM2: shell.wallsM2 + shell.roofM2 }];
  const lossWPerK = heatLossWPerK(parts, { volumeM3: shell.volumeM3, changesPerHour: house.airChangesPerHour });
  const { heatedToC, heaterKw, roofVentsM2, sideVentsM2 } = house;
  return {
    ...shell,
    ...{ uWPerM2K, lossWPerK, airWPerK: lossWPerK - heatLossWPerK(parts) },
    heaterW: heatedToC === null ? null : heaterW(lossWPerK, heatedToC, coldestC),
    heldC:
      heatedToC === null || heaterKw === null || lossWPerK < 0.001
        ? null
        : heldC(heaterKw * 1000, lossWPerK, heatedToC, coldestC),
    kwhByMonth: heatedToC === null ? null : kwhByMonth(lossWPerK, heatedToC, outside),
    vents:
      roofVentsM2 === null && sideVentsM2 === null
        ? null
        : ventsAgainst(shell.groundM2, roofVentsM2 ?? 0, sideVentsM2 ?? 0),
  };
}

/** A year without a leap day. */
const PLAIN_YEAR = dayFromIso("2027-01-01");

/** Day by day: a mean day hides the cold ones. */
function kwhByMonth(lossWPerK: number, setPointC: number, outside: readonly OutsideDay[]): number[] {
  const sums = MONTHS.map(() => 0);
  outside.slice(0, 365).forEach(({ lowestC, highestC }, at) => {
    sums[civilDate(PLAIN_YEAR + at).month - 1]! +=
      (lossWPerK * degreeHours(setPointC, lowestC, highestC).degreeHours) / 1000;
  });
  return sums;
}
