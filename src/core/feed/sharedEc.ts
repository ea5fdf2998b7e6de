import { requireFigures } from "../units/range";

/** Plants of a tank that want the same strength; plant-days where a span of days is looked at. */
export interface EcWish {
  readonly name: string;
  readonly plants: number;
  readonly ecLow: number;
  readonly ecHigh: number;
  /** null where the crop does not tell. */
  readonly phLow: number | null;
  readonly phHigh: number | null;
}

/** The one strength for a tank that is shared. */
export interface SharedEc {
  readonly ecMsPerCm: number;
  /** Any value from here to there leaves as few outside. */
  readonly from: number;
  readonly to: number;
  readonly outside: readonly EcWish[];
  readonly plantsOutside: number;
  readonly plants: number;
}

/**
 * The EC that leaves the fewest plants outside their bands; the middle of the widest span that does.
 *
 * @returns null where nothing tells a band
 * @throws RangeError when a figure is outside its range
 * @source exact: the count changes only at ends of bands
 */
export function sharedEc(wishes: readonly EcWish[]): SharedEc | null {
  requireWishes("sharedEc", wishes);
  const counted = wishes.filter(({ plants }) => plants > 0);
  if (counted.length === 0) return null;
  const ends = [...new Set(counted.flatMap(({ ecLow, ecHigh }) => [ecLow, ecHigh]))].sort((a, b) => a - b);
  // Points where a band begins or ends, and the spans between them.
  const spans = ends.flatMap((end, at) => [[end, end] as const, ...(at > 0 ? [[ends[at - 1]!, end] as const] : [])]);
  const within = (ec: number) =>
    counted.reduce((sum, { plants, ecLow, ecHigh }) => sum + (ec >= ecLow && ec <= ecHigh ? plants : 0), 0);
  const judged = spans.map(([from, to]) => ({ from, to, plants: within((from + to) / 2) }));
  const most = Math.max(...judged.map(({ plants }) => plants));
  const best = joined(judged.filter(({ plants }) => plants === most)).reduce((a, b) =>
    b.to - b.from > a.to - a.from + 1e-12 ? b : a,
  );
  return { ...best, ...outsideAt(counted, (best.from + best.to) / 2) };
}

function requireWishes(where: string, wishes: readonly EcWish[]): void {
  for (const wish of wishes)
    requireFigures(where, wish, {
      ...{ plants: [0, 1e9], ecLow: [0, 20], ecHigh: [wish.ecLow, 20] },
      ...{ phLow: [0, 14], phHigh: [0, 14] },
    });
}

/** Who is outside at a strength. */
export function outsideAt(wishes: readonly EcWish[], ecMsPerCm: number): Omit<SharedEc, "from" | "to"> {
  requireFigures("outsideAt", { ecMsPerCm }, { ecMsPerCm: [0, 20] });
  requireWishes("outsideAt", wishes);
  const outside = wishes.filter(
    ({ plants, ecLow, ecHigh }) => plants > 0 && (ecMsPerCm < ecLow - 1e-9 || ecMsPerCm > ecHigh + 1e-9),
  );
  const sum = (some: readonly EcWish[]) => some.reduce((all, { plants }) => all + plants, 0);
  return { ecMsPerCm, outside, plantsOutside: sum(outside), plants: sum(wishes) };
}

/** Spans that touch, as one. */
function joined(spans: readonly { readonly from: number; readonly to: number }[]) {
  const found: { from: number; to: number }[] = [];
  for (const { from, to } of [...spans].sort((a, b) => a.from - b.from || a.to - b.to)) {
    const last = found.at(-1);
    if (last && from <= last.to + 1e-12) last.to = Math.max(last.to, to);
    else found.push({ from, to });
  }
  return found;
}

/** Two crops that should not share a tank: no strength, or no pH, suits both. */
export interface Apart {
  readonly names: readonly [string, string];
  readonly by: "ec" | "ph" | "both";
}

/** Pairs of crops without a common window of EC and pH. */
export function shouldNotShare(wishes: readonly EcWish[]): Apart[] {
  requireWishes("shouldNotShare", wishes);
  const crops = [...new Map(wishes.map((wish) => [wish.name, wish])).values()];
  return crops.flatMap((one, index) =>
    crops.slice(index + 1).flatMap((other): Apart[] => {
      const ec = one.ecLow > other.ecHigh || other.ecLow > one.ecHigh;
      const [oneLow, otherLow] = [one.phLow ?? 0, other.phLow ?? 0];
      const ph = oneLow > (other.phHigh ?? 14) || otherLow > (one.phHigh ?? 14);
      if (!ec && !ph) return [];
      return [{ names: [one.name, other.name], by: ec && ph ? "both" : ec ? "ec" : "ph" }];
    }),
  );
}
