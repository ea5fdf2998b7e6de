import type { Worked } from "./worked";

/** What a garden wants next, until there is a crop in the ground. */
export type NextStep =
  /** Nothing stands there yet. */
  | { readonly kind: "what-have-you-got" }
  /** Stands, but no crop. */
  | { readonly kind: "first-crop"; readonly sites: number }
  /** A crop, but nothing sown or planned. */
  | { readonly kind: "first-batch"; readonly crop: string }
  /** The first sowing is still to come. */
  | { readonly kind: "first-sowing"; readonly crop: string; readonly day: number; readonly days: number };

/** The next step of a garden in which nothing grows yet; null once something does. */
export function nextStep({ garden, input, today }: Worked): NextStep | null {
  if (garden.batches.some(({ begun, clearedDay }) => begun.length > 0 && clearedDay === null)) return null;
  if (garden.stands.length === 0) return { kind: "what-have-you-got" };
  const [variety] = garden.varieties;
  if (!variety) return { kind: "first-crop", sites: input.growingAreas.reduce((sum, { sites }) => sum + sites, 0) };
  const first = garden.batches
    .filter(({ clearedDay }) => clearedDay === null)
    .reduce<(typeof garden.batches)[number] | null>((a, b) => (a && a.sowDay <= b.sowDay ? a : b), null);
  if (!first) return { kind: "first-batch", crop: variety.name };
  const crop = garden.varieties.find(({ id }) => id === first.varietyId)?.name ?? variety.name;
  return { kind: "first-sowing", crop, day: first.sowDay, days: Math.max(0, first.sowDay - today) };
}
