import { requireRange } from "../units/range";
import { ecOfIons } from "./ec";
import { riseToZero } from "../numeric/riseToZero";
import { strengthForEc } from "./scaleToEc";
import { mixIons, type IonAmounts } from "./nutrients";

/** A tank as read, and what is at hand to mend it. Ions in mmol/L. */
export interface TankReading {
  /** Ions of the recipe at full strength, without the water. */
  readonly recipe: IonAmounts;
  /** Ions of the water used for topping up. */
  readonly water: IonAmounts;
  readonly volumeL: number;
  /** Room above the present level that may be filled: to the rim, less what drains back, less freeboard. */
  readonly headspaceL: number;
  readonly ecMsPerCm: number;
  readonly targetEcMsPerCm: number;
  /** How many times feed strength the stocks are; each stock holds its half of the recipe. */
  readonly stockFactor: number;
  /** Volume to end with where the correction leaves a choice; the present volume when not given. */
  readonly wantedVolumeL?: number;
}

/** What to do: litres to let out, then in, then of A and of B each. All 0 or more. */
export interface TankCorrection {
  readonly kind: "in-band" | "strengthen" | "dilute" | "drain-and-refill";
  readonly strengthNow: number;
  readonly drainL: number;
  readonly waterL: number;
  readonly stockEachL: number;
  readonly finalVolumeL: number;
  /** Drain and refill that ends at the present volume, where draining is needed to dilute. */
  readonly sameVolumeL: number | null;
  /** The quick rule V(EC − EC*)/(EC* − ECw), shown only as a check. */
  readonly linearWaterL: number | null;
  readonly expectedEcMsPerCm: number;
}

export type BringBack =
  | TankCorrection
  | { readonly kind: "water-too-strong"; readonly waterEcMsPerCm: number }
  /** Even eight times its strength does not come to the EC wanted, or to the one that was read. */
  | { readonly kind: "recipe-too-weak" };

/** What no common meter can tell apart. */
const SAME_EC_MS_PER_CM = 0.01;
const SAME_VOLUME_L = 0.5;

/**
 * Brings a tank back to its strength and level. The tank is taken as water + s × recipe, s from the EC reading.
 * Too weak or too low: stock A and B with water up to the wanted volume. Too strong: water, as far as it fits;
 * otherwise the least drain that lets the refill fill the headspace, D = (V·k − h)/(1 + k), k = W/V.
 *
 * @throws RangeError when a volume, EC or factor is out of range
 * @source conservation of ions on ecOfIons; tests/reference/feed/correction.json
 */
export function bringBack(tank: TankReading): BringBack {
  requireRange("bringBack", "volumeL", tank.volumeL, 0.1, 1_000_000);
  requireRange("bringBack", "headspaceL", tank.headspaceL, 0);
  requireRange("bringBack", "ecMsPerCm", tank.ecMsPerCm, 0, 20);
  requireRange("bringBack", "targetEcMsPerCm", tank.targetEcMsPerCm, 0, 20);
  requireRange("bringBack", "stockFactor", tank.stockFactor, 1, 2000);
  if (tank.wantedVolumeL !== undefined) requireRange("bringBack", "wantedVolumeL", tank.wantedVolumeL, 0);
  const waterEcMsPerCm = ecOfIons(tank.water);
  const strengthWanted = strengthForEc(tank.recipe, tank.water, tank.targetEcMsPerCm);
  if (strengthWanted === "water-too-strong") return { kind: "water-too-strong", waterEcMsPerCm };
  const now = strengthForEc(tank.recipe, tank.water, tank.ecMsPerCm);
  if (strengthWanted === "recipe-too-weak" || now === "recipe-too-weak") return { kind: "recipe-too-weak" };
  // A tank that reads below its own water has been diluted by something purer: as weak as can be.
  const strengthNow = now === "water-too-strong" ? 0 : now;
  const largestL = tank.volumeL + tank.headspaceL;
  const wantedVolumeL = Math.min(largestL, Math.max(tank.volumeL, tank.wantedVolumeL ?? tank.volumeL));
  const dilutedVolumeL = (tank.volumeL * strengthNow) / strengthWanted;
  const linearWaterL =
    tank.ecMsPerCm > tank.targetEcMsPerCm
      ? (tank.volumeL * (tank.ecMsPerCm - tank.targetEcMsPerCm)) / (tank.targetEcMsPerCm - waterEcMsPerCm)
      : null;
  const base = { strengthNow, sameVolumeL: null, linearWaterL, expectedEcMsPerCm: tank.targetEcMsPerCm };
  if (
    Math.abs(tank.ecMsPerCm - tank.targetEcMsPerCm) < SAME_EC_MS_PER_CM &&
    wantedVolumeL - tank.volumeL < SAME_VOLUME_L
  )
    return { ...base, kind: "in-band", drainL: 0, waterL: 0, stockEachL: 0, finalVolumeL: tank.volumeL };
  if (dilutedVolumeL <= wantedVolumeL) return strengthen(tank, strengthNow, wantedVolumeL, largestL, base);
  if (dilutedVolumeL <= largestL + 1e-9)
    return {
      ...base,
      kind: "dilute",
      drainL: 0,
      waterL: dilutedVolumeL - tank.volumeL,
      stockEachL: 0,
      finalVolumeL: dilutedVolumeL,
    };
  const k = dilutedVolumeL / tank.volumeL - 1;
  const drainL = (tank.volumeL * k - tank.headspaceL) / (1 + k);
  return {
    ...base,
    kind: "drain-and-refill",
    drainL,
    waterL: drainL + tank.headspaceL,
    stockEachL: 0,
    finalVolumeL: largestL,
    sameVolumeL: tank.volumeL * (1 - strengthWanted / strengthNow),
  };
}

type Base = Pick<TankCorrection, "strengthNow" | "sameVolumeL" | "linearWaterL" | "expectedEcMsPerCm">;

function strengthen(
  tank: TankReading,
  strengthNow: number,
  wantedL: number,
  largestL: number,
  base: Base,
): TankCorrection {
  const old = mixIons([
    [1, tank.water],
    [strengthNow, tank.recipe],
  ]);
  const stock = mixIons([[tank.stockFactor, tank.recipe]]);
  // Stock A and B, x litres each, together bring x litres of both halves of the recipe at stock strength.
  const after = (eachL: number, drainL: number) => {
    const keptL = tank.volumeL - drainL;
    const finalL = Math.max(wantedL - drainL, keptL + 2 * eachL);
    const waterL = finalL - keptL - 2 * eachL;
    const ions = mixIons([
      [keptL / finalL, old],
      [waterL / finalL, tank.water],
      [eachL / finalL, stock],
    ]);
    return { finalL, waterL, ecMsPerCm: ecOfIons(ions) };
  };
  const eachFor = (drainL: number) =>
    riseToZero(
      0,
      (8 * (wantedL - drainL)) / tank.stockFactor,
      (eachL) => after(eachL, drainL).ecMsPerCm - tank.targetEcMsPerCm,
    );
  let drainL = 0;
  let stockEachL = eachFor(0);
  if (tank.volumeL + 2 * stockEachL > largestL) {
    // No room for the stock: what leaves takes its share of the need with it, so the drain is solved together.
    drainL = riseToZero(0, tank.volumeL / 2, (letOutL) => largestL - (tank.volumeL - letOutL + 2 * eachFor(letOutL)));
    stockEachL = eachFor(drainL);
  }
  const end = after(stockEachL, drainL);
  return { ...base, kind: "strengthen", drainL, waterL: end.waterL, stockEachL, finalVolumeL: end.finalL };
}
