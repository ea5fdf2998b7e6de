import { requireRange } from "../units/range";

/** Dissociation of carbonic acid and of water at 25 °C. @source Plummer and Busenberg 1982, rounded */
export const CARBONATE = { pK1: 6.35, pK2: 10.33, pKw: 14 } as const;

/** Charge that a mole of carbonate carries, all its forms together, at a pH: α1 + 2·α2. */
export function carbonateCharge(ph: number): number {
  requireRange("carbonateCharge", "ph", ph, 0, 14);
  const [first, second] = [10 ** (ph - CARBONATE.pK1), 10 ** (2 * ph - CARBONATE.pK1 - CARBONATE.pK2)];
  return (first + 2 * second) / (1 + first + second);
}

/** Charge of water itself, meq/L: hydroxide less hydrogen. */
export function waterChargeMeqPerL(ph: number): number {
  requireRange("waterChargeMeqPerL", "ph", ph, 0, 14);
  return 1000 * (10 ** (ph - CARBONATE.pKw) - 10 ** -ph);
}
