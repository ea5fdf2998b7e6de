"use client";
import { useState } from "react";
import { useFormContext } from "react-hook-form";
import { percentOfLabel, type LabelPercent } from "@/core/feed/label";
import type { Nutrient } from "@/core/feed/nutrients";
import { formatNumber } from "@/core/units/format";
import { Button } from "@/ui/Button";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";

const ON_PACKS = ["N", "NO3-N", "NH4-N", "urea-N", "P2O5", "K2O", "CaO", "MgO", "SO3"] as const;

/** What a pack prints, as oxides: written into the content as elements. */
export function PackLabel() {
  const { getValues, setValue } = useFormContext();
  const [typed, setTyped] = useState<Readonly<Record<string, QuantityValue>>>({});
  const [isByVolume, setByVolume] = useState(false);
  const [wrong, setWrong] = useState<string>();
  const fill = () => {
    const told = Object.entries(typed).filter((pair): pair is [string, number] => typeof pair[1] === "number");
    const sum = told.reduce((all, [, percent]) => all + percent, 0);
    const density = Number(getValues("densityKgPerL"));
    if (told.length === 0) return setWrong("Write at least one figure of the pack.");
    if (told.some(([, percent]) => percent < 0 || percent > 100) || (!isByVolume && sum > 100))
      return setWrong(
        `The label adds up to ${formatNumber(sum, 1)} %: a pack tells at most 100 % by mass. Is it told by volume, or is one figure an element and not an oxide?`,
      );
    if (isByVolume && !(density > 0)) return setWrong("By volume wants the density: write above how heavy a litre is.");
    const byMass = Object.entries(percentOfLabel(Object.fromEntries(told) as LabelPercent)).map(
      ([name, percent]): [string, number] => [name, Number((isByVolume ? percent / density : percent).toFixed(3))],
    );
    setWrong(undefined);
    const before = (getValues("percent") ?? {}) as Partial<Record<Nutrient, number>>;
    setValue("percent", { ...before, ...Object.fromEntries(byMass) }, { shouldDirty: true });
  };
  return (
    <details className="mt-3 border-t border-rule pt-2">
      <summary className="min-h-11 cursor-pointer font-bold">The pack tells oxides (P2O5, K2O …)</summary>
      <div className="grid grid-cols-4 gap-2">
        {ON_PACKS.map((name) => (
          <label key={name} className="text-sm font-bold">
            {name}
            <QuantityInput
              dimension="ratio"
              placeholder="–"
              value={typed[name] ?? null}
              onValue={(value) => setTyped((all) => ({ ...all, [name]: value }))}
            />
          </label>
        ))}
      </div>
      <label className="mt-2 flex min-h-11 items-center gap-2">
        <input type="checkbox" checked={isByVolume} onChange={({ target }) => setByVolume(target.checked)} />
        The label is of a liquid, by volume (g in 100 mL)
      </label>
      {wrong && (
        <p role="alert" className="mb-2 text-sm font-bold text-alarm">
          {wrong}
        </p>
      )}
      <Button onClick={fill}>Write it into the content</Button>
      <p className="mt-1 text-sm text-soft">
        Nitrogen by its forms where they are printed; N alone where they are not: it says nothing of ammonium and
        strength, so the EC is taken from the pack or a meter.
      </p>
    </details>
  );
}
