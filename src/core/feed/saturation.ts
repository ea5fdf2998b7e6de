import { riseToZero } from "../numeric/riseToZero";
import { requireRange } from "../units/range";
import { freeActivities } from "./ec";
import { mixIons, type IonAmounts } from "./nutrients";

/** −log10 of the solubility products at 25 °C: dicalcium phosphate dihydrate, the first to drop; gypsum. */
const PKSP = { "calcium-phosphate": 6.59, gypsum: 4.58 } as const;
export type Precipitate = keyof typeof PKSP;

const PK2_PHOSPHATE = 7.2;
const PH = { least: 3, greatest: 9 } as const;

/**
 * How far a ready feed is from dropping calcium phosphate and gypsum: log10 of the ion product over the solubility
 * product. Over 0 it can drop out; up to about 0.3 it often takes days.
 *
 * @param ions mmol/L, phosphate as H2PO4
 * @param ph 3–9
 * @throws RangeError when a figure is outside its range
 * @source solubility products at 25 °C (pK 6.59 and 4.58); activities of the free ions, tests/reference/feed/ec.json
 *   `ionPairs`; phosphate splits by pK2 7.20 at the ionic strength of the feed
 */
export function saturation(ions: IonAmounts, ph: number): Readonly<Record<Precipitate, number>> {
  requireRange("saturation", "ph", ph, PH.least, PH.greatest);
  const { Ca = 0, SO4 = 0, H2PO4 = 0, HPO4 = 0 } = ions;
  const phosphate = H2PO4 + HPO4;
  // HPO4 has two charges: at a feed's ionic strength it is there from a lower pH on than in pure water.
  const ratio = 10 ** (ph - PK2_PHOSPHATE) / freeActivities(ions).gamma ** 3;
  const split = { H2PO4: phosphate / (1 + ratio), HPO4: (phosphate * ratio) / (1 + ratio) };
  const { activities: free } = freeActivities({ ...ions, ...(phosphate > 0 && split) });
  const product = (one: number | undefined, other: number | undefined) =>
    one && other ? Math.log10(one * other) : -Infinity;
  return {
    "calcium-phosphate": Ca > 0 ? product(free.Ca, free.HPO4) + PKSP["calcium-phosphate"] : -Infinity,
    gypsum: Ca > 0 && SO4 > 0 ? product(free.Ca, free.SO4) + PKSP.gypsum : -Infinity,
  };
}

/**
 * The pH up to which a ready feed stays clear of calcium phosphate; 9 where it does over the whole range.
 *
 * @param ions mmol/L
 * @source root of saturation
 */
export function clearToPh(ions: IonAmounts): number {
  const at = (ph: number) => saturation(ions, ph)["calcium-phosphate"];
  if (at(PH.greatest) <= 0) return PH.greatest;
  return at(PH.least) >= 0 ? PH.least : riseToZero(PH.least, PH.greatest, at);
}

/** Stronger than this nothing is worked out by activities. */
const MOST_TIMES = 10;

/**
 * How many times as strong a feed can be mixed in one tank before something drops out, at a pH.
 *
 * @param feed ions of the salts at the strength of the feed, mmol/L
 * @param water ions of the water, mmol/L
 * @returns 0 where it drops out as it is; at most 10; what drops out first
 * @source root of saturation
 */
export function clearToTimes(
  feed: IonAmounts,
  water: IonAmounts,
  ph: number,
): { readonly times: number; readonly first: Precipitate | null } {
  const worst = (times: number) => {
    const found = saturation(
      mixIons([
        [1, water],
        [times, feed],
      ]),
      ph,
    );
    return found.gypsum > found["calcium-phosphate"]
      ? { precipitate: "gypsum" as const, index: found.gypsum }
      : { precipitate: "calcium-phosphate" as const, index: found["calcium-phosphate"] };
  };
  let times = 1;
  if (worst(1).index > 0) return { times: 0, first: worst(1).precipitate };
  // In steps, so that no solution is asked for that is too strong for its activities.
  while (times < MOST_TIMES && worst(times + 0.5).index <= 0) times += 0.5;
  if (times >= MOST_TIMES) return { times: MOST_TIMES, first: null };
  const found = riseToZero(times, times + 0.5, (one) => worst(one).index);
  return { times: found, first: worst(times + 0.5).precipitate };
}

/** The pH up to which a chelate holds its iron, by the agent in its name. */
const HOLDS_TO = [
  [/eddha|hbed/iu, 9],
  [/dtpa/iu, 7.5],
  [/edta|citrate/iu, 6.5],
] as const;

/** @returns null where the name tells no agent @source common practice: EDTA to 6.5, DTPA to 7.5, EDDHA over 9 */
export function chelateHoldsToPh(name: string): number | null {
  return HOLDS_TO.find(([agent]) => agent.test(name))?.[1] ?? null;
}
