import type { DosePer, DoseUnit, LabelDose, LabelPercent } from "@/core/feed/label";
import type { LabelProduct } from "@/core/feed/labelFeed";
import { labelEc } from "@/core/feed/labelEc";
import { tankDose, tankTopUp, type DoseAmount } from "@/core/feed/tankDose";
import { formatNumber, quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { SlipStepView } from "@/ui/SlipSteps";
import type { AnswerRow } from "./AnswerFrame";
import { mendRows, mendSteps, mixedDose, type MixedDose } from "./mixedDose";

export const UNITS: readonly { readonly value: DoseUnit; readonly label: string }[] = [
  { value: "g", label: "g" },
  { value: "mL", label: "mL" },
  { value: "teaspoon", label: "teaspoons" },
  { value: "tablespoon", label: "tablespoons" },
  { value: "cap", label: "caps" },
  { value: "scoop", label: "scoops" },
  { value: "ounce", label: "oz" },
  { value: "pound", label: "lb" },
  { value: "fluid ounce", label: "fl oz" },
];
export type Way = "fresh" | "read" | "mixed";
export interface Chosen {
  readonly unit: DoseUnit;
  readonly per: DosePer;
  readonly way: Way;
}

/** What a pack says, per cent; all of it may stay untold. */
export const LABEL_PARTS = [
  ["nitrate", "NO3-N", "nitrate N"],
  ["ammonium", "NH4-N", "ammonium N"],
  ["urea", "urea-N", "urea N"],
  ["phosphate", "P2O5", "P₂O₅"],
  ["potash", "K2O", "K₂O"],
  ["calcium", "CaO", "CaO"],
  ["magnesium", "MgO", "MgO"],
  ["sulfur", "SO3", "SO₃"],
] as const;
/** Measures that are as large as somebody says. */
export const HAS_SIZE = new Set<DoseUnit>(["cap", "scoop"]);

/** How much of a product, or of water. */
export interface Found {
  readonly kind: "add" | "dilute" | "nothing";
  readonly amount: DoseAmount;
  readonly waterL: number;
  readonly says: string;
  readonly labelSays: string;
  /** As it can be kept. */
  readonly product: Omit<LabelProduct, "name">;
  /** Of the label's dose, where much of it goes in. */
  readonly timesLabel: number;
  /** Of a feed that was mixed already: how far it is off, and how it is mended. */
  readonly mixed?: MixedDose;
}

const NOTHING: DoseAmount = { measures: 0, grams: 0, mL: 0 };

/** The answer from what stands in the blanks. */
export function worked({ unit, per, way }: Chosen, good: Readonly<Record<string, number>>): Found {
  const form = unit === "g" || unit === "ounce" || unit === "pound" ? "solid" : "liquid";
  const dose: LabelDose = {
    amount: good.amount!,
    unit,
    per,
    form,
    ...(HAS_SIZE.has(unit) && { measureML: good.measureL! * 1000 }),
  };
  const label: LabelPercent = Object.fromEntries(
    LABEL_PARTS.flatMap(([name, part]) => (good[name] === undefined ? [] : [[part, good[name]]])),
  );
  const perLitre = tankDose(1, dose, 1);
  const product: Found["product"] = {
    ...{ form, densityKgPerL: null, isByVolume: form === "liquid", amount: dose.amount, unit, per },
    ...{ label, measureL: HAS_SIZE.has(unit) ? good.measureL! : null },
  };
  const common = { labelSays: labelWords(label, perLitre.grams), product, timesLabel: 0 };
  if (way === "mixed" && good.putIn !== undefined) {
    const [volumeL, strength, headspaceL] = [good.volumeL!, good.strength!, good.headspaceL!];
    const mixed = mixedDose(dose, { volumeL, strength, putIn: good.putIn, headspaceL });
    return { ...common, kind: "add", amount: mixed.missing ?? NOTHING, waterL: 0, says: mixed.says, mixed };
  }
  if (way !== "read" || good.readEc === undefined)
    return {
      ...common,
      kind: "add",
      timesLabel: good.strength ?? 1,
      amount: tankDose(good.volumeL!, dose, good.strength ?? 1),
      waterL: 0,
      says: `${formatNumber((good.strength ?? 1) * 100)} % of what the label says.`,
    };
  const topUp = tankTopUp(good.volumeL!, dose, {
    readMsPerCm: good.readEc,
    wantedMsPerCm: good.wantedEc!,
    labelMsPerCm: good.labelEc!,
    waterMsPerCm: good.waterEc!,
  });
  switch (topUp.kind) {
    case "add":
      return {
        ...common,
        kind: "add",
        timesLabel: topUp.strength,
        amount: topUp.amount,
        waterL: 0,
        says: "A straight line, 3 to 11 % short for a strong correction: half first, stir, read again.",
      };
    case "dilute":
      return {
        ...common,
        kind: "dilute",
        amount: NOTHING,
        waterL: topUp.waterL,
        says: "Too strong: water brings it down.",
      };
    case "in-place":
      return { ...common, kind: "nothing", amount: NOTHING, waterL: 0, says: "It is as strong as you want it." };
    case "water-too-strong":
      return {
        ...common,
        kind: "nothing",
        amount: NOTHING,
        waterL: 0,
        says: "Your water alone is as strong as what you want: this water cannot bring it down.",
      };
  }
}

/** What can be told of the feed from the label. */
function labelWords(label: LabelPercent, gramsPerL: number | null): string {
  if (Object.keys(label).length === 0) return "Told, it gives mg/L and, where all of it is printed, the EC.";
  if (gramsPerL === null) return "By volume alone the milligrams cannot be told: tell the dose in grams.";
  const found = labelEc([{ label, gPerL: gramsPerL }]);
  const elements = Object.entries(found.mgPerL)
    .filter(([, mgPerL]) => mgPerL >= 0.5)
    .map(([element, mgPerL]) => `${element} ${formatNumber(mgPerL)}`)
    .join(", ");
  const ec =
    found.kind === "ec"
      ? `It adds about ${formatNumber(found.ecMsPerCm, 2)} mS/cm (± 5 %).`
      : "No EC can be worked out: what is printed does not balance. Use the pack’s figure or a meter.";
  return `At the label’s dose, mg/L: ${elements}. ${ec}`;
}

/** An amount in the measure that was asked in. */
export function amountWords({ measures, grams, mL }: DoseAmount, unit: DoseUnit, units: UnitPreferences) {
  if (unit === "g" && grams !== null) return split(quantityText(grams, "mass", units));
  if (unit === "mL" && mL !== null) return split(quantityText(mL / 1000, "dose", { ...units, system: "metric" }));
  return {
    figure: formatNumber(measures, measures < 10 ? 1 : 0),
    unit: UNITS.find(({ value }) => value === unit)!.label,
  };
}

const split = (text: string) => ({ figure: text.split(" ").slice(0, -1).join(" "), unit: text.split(" ").at(-1)! });

export function rowsOf(
  { kind, amount, waterL, mixed }: Found,
  unit: DoseUnit,
  units: UnitPreferences,
): readonly AnswerRow[] {
  if (mixed && !mixed.missing) return mendRows(mixed.mend, units);
  if (kind === "dilute") return [{ what: "water to add", figure: quantityText(waterL, "volume", units) }];
  if (kind === "nothing") return [];
  return [
    ...(unit !== "g" && amount.grams !== null
      ? [{ what: "that is", figure: quantityText(amount.grams, "mass", units) }]
      : []),
    ...(unit !== "mL" && amount.mL !== null ? [{ what: "that is", figure: `${formatNumber(amount.mL)} mL` }] : []),
  ];
}

const FIRST_FILL = 0.85;

/** What to do, in order. */
export function stepsOf(
  { kind, amount, waterL, mixed }: Found,
  volumeL: number,
  unit: DoseUnit,
  units: UnitPreferences,
): SlipStepView[] {
  if (mixed) {
    const missing = amountWords(amount, unit, units);
    return mendSteps(mixed.mend, `${missing.figure} ${missing.unit}`);
  }
  if (kind === "nothing") return [{ title: "Nothing to add" }];
  if (kind === "dilute")
    return [
      {
        title: "Water",
        amount: { value: waterL, dimension: "volume" },
        note: "Drain as much first if it does not fit.",
      },
      { title: "Stir, wait a quarter of an hour, read again" },
    ];
  const half = amountWords(
    { measures: amount.measures / 2, grams: half2(amount.grams), mL: half2(amount.mL) },
    unit,
    units,
  );
  return [
    {
      title: "Fill with water",
      amount: { value: volumeL * FIRST_FILL, dimension: "volume" },
      note: "about 85 % of the tank",
    },
    { title: `${half.figure} ${half.unit}`, note: "Half of it: pour it in slowly, and stir." },
    {
      title: `${half.figure} ${half.unit}`,
      note: "The other half after a few minutes; less if the meter is there already.",
    },
    {
      title: "Fill up",
      amount: { value: volumeL, dimension: "volume" },
      note: "to the mark; stir, wait, read EC and pH",
    },
  ];
}

const half2 = (value: number | null) => (value === null ? null : value / 2);

/** From so many times the label's dose on a second word is asked. */
const DANGEROUS_TIMES = 3;

/** Why a dose is shown only after a second word; null where it is none. */
export function doseDangerWords({ timesLabel }: Found): string | null {
  return timesLabel < DANGEROUS_TIMES
    ? null
    : `This is ${formatNumber(timesLabel, 1)} times what the label says: roots burn within hours. Is it a tablespoon for a teaspoon, a litre for a gallon, or another size of tank? Should the tank be so weak, put in a quarter of it, stir, and read again.`;
}
