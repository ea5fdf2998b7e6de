import { requireEach } from "../units/range";
import type { Ion, IonAmounts } from "./nutrients";

const CHARGE: Readonly<Record<Ion, number>> = {
  ...{ K: 1, Na: 1, NH4: 1, Ca: 2, Mg: 2, H: 1, Cu: 2, Zn: 2 },
  ...{ NO3: -1, Cl: -1, SO4: -2, HCO3: -1, H2PO4: -1, HPO4: -2 },
};

/**
 * Cations against anions of a solution: (C − A) ÷ the mean of both; 0 where there is neither.
 *
 * @param ions mmol/L
 * @throws RangeError for an amount under 0
 * @source electroneutrality
 */
export function chargeDifference(ions: IonAmounts): number {
  requireEach("chargeDifference", "ions", ions, 0);
  let [cations, anions] = [0, 0];
  for (const [ion, mmol] of Object.entries(ions) as [Ion, number][])
    if (CHARGE[ion] > 0) cations += CHARGE[ion] * mmol;
    else anions -= CHARGE[ion] * mmol;
  return cations + anions === 0 ? 0 : (cations - anions) / ((cations + anions) / 2);
}
