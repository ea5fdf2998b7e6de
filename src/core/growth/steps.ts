import { requireRange, requireWhole } from "../units/range";

/** What is done with young plants between sowing and planting out, besides the moves of the plan. */
export const STEP_KINDS = [
  "cover",
  "uncover",
  "light",
  "thin",
  "first-feed",
  "pot-up",
  "space",
  "harden",
  "other",
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** When a step is due within its stage: so many days after it began, or when a share of it is past by its clock. */
export type StepDue =
  { readonly kind: "days"; readonly days: number } | { readonly kind: "share"; readonly share: number };

export interface Step {
  readonly kind: StepKind;
  /** 1 the first stage. */
  readonly stageNumber: number;
  readonly due: StepDue;
  readonly note: string;
}

/** What the usual steps of a crop are worked out from. */
export interface Raised {
  readonly stages: number;
  readonly germinatesIn: "either" | "light" | "dark";
  readonly seedsPerCell: number;
  readonly thinTo: number | null;
  /** Of a crop sown in trays by weight; null of others. */
  readonly blackoutDays: number | null;
  /** Days of the first stage when they are fewest. */
  readonly firstDays: number;
}

/**
 * The steps with which a crop is usually raised: into the dark and out of it, light, thinning, the first weak feed, hardening
 * before it is planted out. A list to begin with.
 *
 * @throws RangeError when a figure is outside its range
 * @source common practice
 */
export function usualSteps({ stages, germinatesIn, seedsPerCell, thinTo, blackoutDays, firstDays }: Raised): Step[] {
  requireWhole("usualSteps", "stages", stages, 1, 10);
  requireWhole("usualSteps", "seedsPerCell", seedsPerCell, 1, 10_000);
  requireWhole("usualSteps", "thinTo", thinTo ?? 1, 1, 10_000);
  requireRange("usualSteps", "firstDays", firstDays, 0.5, 400);
  requireRange("usualSteps", "blackoutDays", blackoutDays ?? 0, 0, 60);
  const step = (kind: StepKind, stageNumber: number, due: StepDue, note = ""): Step => ({
    kind,
    stageNumber,
    due,
    note,
  });
  const days = (count: number): StepDue => ({ kind: "days", days: count });
  if (blackoutDays !== null)
    return blackoutDays > 0
      ? [step("cover", 1, days(0), "stacked or covered, in the dark"), step("light", 1, days(Math.round(blackoutDays)))]
      : [];
  const up = Math.max(1, Math.round(firstDays));
  const second = Math.min(2, stages);
  const afterUp = stages > 1 ? days(2) : days(up + 2);
  return [
    ...(germinatesIn === "dark" ? [step("cover", 1, days(0)), step("uncover", 1, days(Math.max(1, up - 1)))] : []),
    ...(stages > 1 ? [step("light", 1, days(Math.max(1, up - 1)))] : []),
    ...(thinTo !== null && thinTo < seedsPerCell ? [step("thin", second, stages > 1 ? days(3) : days(up + 3))] : []),
    step("first-feed", second, afterUp, "half strength"),
    ...(stages > 2 ? [step("harden", stages - 1, { kind: "share", share: 0.75 })] : []),
  ];
}
