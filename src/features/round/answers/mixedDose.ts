import { doseCheck, type DoseMend } from "@/core/feed/doseCheck";
import { PER_L, type LabelDose } from "@/core/feed/label";
import { tankDose, type DoseAmount } from "@/core/feed/tankDose";
import { formatNumber, quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { SlipStepView } from "@/ui/SlipSteps";

/** What was mixed, against what the label says and what was wanted. Amounts in the measure of the label. */
export interface MixedDose {
  readonly times: number;
  readonly says: string;
  readonly mend: DoseMend;
  /** What is missing. */
  readonly missing: DoseAmount | null;
}

/** From here on no plant should stand in it. */
const DANGEROUS = 10;

export function mixedDose(
  dose: LabelDose,
  { volumeL, strength, putIn, headspaceL }: Readonly<Record<"volumeL" | "strength" | "putIn" | "headspaceL", number>>,
): MixedDose {
  const labelGPerL = dose.amount / PER_L[dose.per];
  const found = doseCheck({ productG: putIn, volumeL, labelGPerL, planGPerL: labelGPerL * strength, headspaceL });
  const { ratioToPlan, ratioToLabel, mend } = found;
  const label = `${formatNumber(ratioToLabel, 2)} times what the label says`;
  return {
    times: ratioToPlan,
    says:
      ratioToLabel >= DANGEROUS
        ? `${label}: take plants out of it, and measure again before anything else. It may be a slip: spoons for millilitres, a tank of ten times the size.`
        : mend.kind === "nothing"
          ? `Just what you wanted; ${label}.`
          : `${ratioToPlan < 1 ? "Too weak" : "Too strong"}; ${label}.`,
    mend,
    missing: mend.kind === "add-product" ? tankDose(1, { ...dose, amount: mend.addG, per: "L" }, 1) : null,
  };
}

/** How it is mended, in order. @param missing what is missing, in words */
export function mendSteps(mend: DoseMend, missing: string): SlipStepView[] {
  switch (mend.kind) {
    case "nothing":
      return [{ title: "Nothing to mend" }];
    case "add-product":
      return [{ title: missing, note: "dissolved in a bucket of tank water, poured in slowly; stir, wait, read" }];
    case "add-water":
      return [
        { title: "Fill with water", amount: { value: mend.addL, dimension: "volume" } },
        { title: "Stir, wait a quarter of an hour, read" },
      ];
    case "drain-and-fill":
      return [
        {
          title: "Drain",
          amount: { value: mend.drainL, dimension: "volume" },
          note: "it is fertiliser: onto a bed that needs it, never a drain or ditch",
        },
        { title: "Fill with water", amount: { value: mend.thenAddL, dimension: "volume" } },
        { title: "Stir, wait a quarter of an hour, read" },
      ];
  }
}

/** What stands beside the answer. */
export function mendRows(mend: DoseMend, units: UnitPreferences): { readonly what: string; readonly figure: string }[] {
  const litres = (value: number) => quantityText(value, "volume", units);
  if (mend.kind === "add-water") return [{ what: "water to add", figure: litres(mend.addL) }];
  if (mend.kind !== "drain-and-fill") return [];
  return [
    { what: "to drain first", figure: litres(mend.drainL) },
    { what: "then water", figure: litres(mend.thenAddL) },
  ];
}
