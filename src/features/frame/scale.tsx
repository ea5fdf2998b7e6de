"use client";
import { dilution } from "@/core/feed/dilution";
import { solubilityAtGPerL } from "@/core/feed/stocks";
import { quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import { useDraft } from "@/features/frame/drafts";
import { QuantityBlank } from "@/ui/blank/Blank";

const [LEAST_STEP_G, GREATEST_STEP_G] = [0.001, 1000];

/** Water for a dilution stands in the room. */
const ROOM_C = 20;

/** What the scale that salts are weighed on counts in; kept on the device. */
export function useScale() {
  const [stepG, setStepG] = useDraft<number>("scale-step", 0.1);
  return { stepG, setStepG };
}

export function ScaleChoice({ stepG, onStep }: { readonly stepG: number; readonly onStep: (stepG: number) => void }) {
  return (
    <p className="no-print mb-3 text-lg leading-10">
      My scale weighs in steps of{" "}
      <QuantityBlank
        name="scale-step"
        label="Steps of my scale"
        dimension="mass"
        value={stepG}
        onValue={(next) => typeof next === "number" && next >= LEAST_STEP_G && next <= GREATEST_STEP_G && onStep(next)}
      />
      .
    </p>
  );
}

/** How an amount is got that the scale cannot weigh; null where it can. */
export function dilutionWords(
  grams: number,
  stepG: number,
  units: UnitPreferences,
  solubilityGPerL: readonly number[] | null = null,
): string | null {
  const dissolvesGPerL = solubilityGPerL && 0.8 * solubilityAtGPerL(solubilityGPerL, ROOM_C);
  const found = dilution(grams, stepG, dissolvesGPerL);
  if (found === null) return null;
  if (found === "scale-too-coarse") return "too little for your scale, even thinned twice: borrow a finer one";
  const water = (litres: number) => quantityText(litres, "dose", units);
  const [first, ...more] = found.stages;
  const steps = more.map(
    ({ intoMl, takeMl }) => `make that up to ${water(intoMl / 1000)} and take ${water(takeMl / 1000)}`,
  );
  return [
    `too little for your scale: weigh ${quantityText(found.weighG, "mass", units)} into ${water(first!.intoMl / 1000)} of water and take ${water(first!.takeMl / 1000)}`,
    ...steps,
  ].join("; ");
}
