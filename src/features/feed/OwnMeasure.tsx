"use client";
import { useDraft } from "@/features/frame/drafts";
import { ChoiceBlank, QuantityBlank } from "@/ui/blank/Blank";

/** What doses are counted in, with what it holds, mL. */
export interface OwnMeasure {
  readonly kind: "mL" | "teaspoons" | "tablespoons" | "caps" | "jugs";
  readonly capMl: number;
  readonly jugMl: number;
}
const USUAL: OwnMeasure = { kind: "mL", capMl: 10, jugMl: 250 };
const OPTIONS = [
  { value: "mL", label: "a measuring jug" },
  { value: "teaspoons", label: "teaspoons of 5 mL" },
  { value: "tablespoons", label: "tablespoons of 15 mL" },
  { value: "caps", label: "caps of" },
  { value: "jugs", label: "jugs of my own of" },
] as const;

/** What stands beside a tank to dose with; kept on the device. */
export function useOwnMeasure() {
  const [measure, setMeasure] = useDraft<OwnMeasure>("own-measure", USUAL);
  return { measure, setMeasure };
}

export function OwnMeasureChoice({
  measure,
  onMeasure,
}: {
  readonly measure: OwnMeasure;
  readonly onMeasure: (measure: OwnMeasure) => void;
}) {
  const own = measure.kind === "caps" ? "capMl" : measure.kind === "jugs" ? "jugMl" : null;
  return (
    <p className="no-print text-lg leading-10">
      I dose with{" "}
      <ChoiceBlank
        name="measure"
        label="I dose with"
        value={measure.kind}
        options={OPTIONS}
        onValue={(kind) => onMeasure({ ...measure, kind })}
      />
      {own && (
        <>
          {" "}
          <QuantityBlank
            name="holds"
            label="It holds"
            dimension="dose"
            value={measure[own] / 1000}
            onValue={(next) =>
              typeof next === "number" && next >= 0.0001 && next <= 20 && onMeasure({ ...measure, [own]: next * 1000 })
            }
          />
        </>
      )}
    </p>
  );
}

/** A dose in the measure that is at hand: "2.5 caps"; null where the jug has marks. */
export function inMeasure(litres: number, { kind, capMl, jugMl }: OwnMeasure): string | null {
  if (kind === "mL") return null;
  const holdsMl = { teaspoons: 5, tablespoons: 15, caps: capMl, jugs: jugMl }[kind];
  const count = (litres * 1000) / holdsMl;
  const quarters = Math.round(count * 4) / 4;
  const rounded = count >= 20 ? Math.round(count) : quarters;
  if (rounded === 0)
    return `under a quarter of ${{ teaspoons: "a teaspoon", tablespoons: "a tablespoon", caps: "a cap", jugs: "a jug" }[kind]}: use a syringe`;
  return `${rounded} ${rounded === 1 ? kind.slice(0, -1) : kind}`;
}
