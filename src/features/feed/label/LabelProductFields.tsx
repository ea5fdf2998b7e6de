"use client";
import { DOSE_UNITS, type DosePer, type DoseUnit, type LabelPercent } from "@/core/feed/label";
import type { LabelProduct } from "@/core/feed/labelFeed";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";

/** A product while it is typed: figures may be missing, or text that cannot be read. */
export type TypedProduct = Omit<LabelProduct, "amount" | "densityKgPerL" | "measureL" | "label"> & {
  readonly amount: QuantityValue;
  readonly densityKgPerL: QuantityValue;
  readonly measureL: QuantityValue;
  readonly label: Readonly<Record<string, QuantityValue>>;
};

type OnPack = keyof LabelPercent;
const PRINTED: readonly (readonly [title: string, names: readonly OnPack[]])[] = [
  ["nitrogen", ["N", "NO3-N", "NH4-N", "urea-N"]],
  ["as oxides", ["P2O5", "K2O", "CaO", "MgO", "SO3"]],
  ["or as elements", ["P", "K", "Ca", "Mg", "S"]],
  ["the rest", ["Fe", "Mn", "Zn", "Cu", "B", "Mo", "Na", "Cl"]],
];
const UNIT_WORDS: Readonly<Partial<Record<DoseUnit, string>>> = {
  ...{
    teaspoon: "teaspoons",
    tablespoon: "tablespoons",
    cap: "caps",
    scoop: "scoops",
    ounce: "oz",
    pound: "lb",
    "fluid ounce": "fl oz",
  },
};
const PER_WORDS: Readonly<Record<DosePer, string>> = {
  L: "to a litre",
  usGallon: "to a US gallon",
  imperialGallon: "to an imperial gallon",
};
const WEIGHED: readonly DoseUnit[] = ["g", "ounce", "pound"];

/** What a pack tells of one product or part. @param errors by the names of its fields */
export function LabelProductFields({
  product,
  title,
  errors,
  onProduct,
}: {
  readonly product: TypedProduct;
  readonly title: string;
  readonly errors: Readonly<Record<string, string | undefined>>;
  readonly onProduct: (product: TypedProduct) => void;
}) {
  const change = (part: Partial<TypedProduct>) => onProduct({ ...product, ...part });
  const hasSize = product.unit === "cap" || product.unit === "scoop";
  const asksWeight = product.form === "liquid" || !WEIGHED.includes(product.unit);
  return (
    <fieldset className="border-t-2 border-ink pt-2">
      <legend className="sign pr-3 text-xl">{title}</legend>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3">
        <Field label="Name on the pack" error={errors.name}>
          {(aria) => (
            <input
              {...aria}
              className="input"
              value={product.name}
              onChange={({ target }) => change({ name: target.value })}
            />
          )}
        </Field>
        <Field label="It is a">
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={product.form}
              onChange={({ target }) => change({ form: target.value as TypedProduct["form"] })}
            >
              <option value="liquid">liquid</option>
              <option value="solid">powder or crystals</option>
            </select>
          )}
        </Field>
        <Field label="The label’s dose" error={errors.amount}>
          {(aria) => (
            <QuantityInput
              {...aria}
              dimension="ratio"
              value={product.amount}
              onValue={(amount) => change({ amount })}
            />
          )}
        </Field>
        <div className="col-span-full grid grid-cols-2 gap-x-4 gap-y-3 sm:col-span-1 sm:gap-2">
          <Field label="Measure">
            {(aria) => (
              <select
                {...aria}
                className="input"
                value={product.unit}
                onChange={({ target }) => change({ unit: target.value as DoseUnit })}
              >
                {DOSE_UNITS.map((unit) => (
                  <option key={unit} value={unit}>
                    {UNIT_WORDS[unit] ?? unit}
                  </option>
                ))}
              </select>
            )}
          </Field>
          <Field label="To a">
            {(aria) => (
              <select
                {...aria}
                className="input"
                value={product.per}
                onChange={({ target }) => change({ per: target.value as DosePer })}
              >
                {Object.entries(PER_WORDS).map(([per, words]) => (
                  <option key={per} value={per}>
                    {words}
                  </option>
                ))}
              </select>
            )}
          </Field>
        </div>
        {hasSize && (
          <Field label={`A ${product.unit} holds`} error={errors.measureL}>
            {(aria) => (
              <QuantityInput
                {...aria}
                dimension="dose"
                value={product.measureL}
                onValue={(measureL) => change({ measureL })}
              />
            )}
          </Field>
        )}
        {asksWeight && (
          <Field
            label="A litre of it weighs, kg"
            hint={product.form === "liquid" ? "if the label tells it" : "weigh a level spoon: g ÷ mL"}
            error={errors.densityKgPerL}
          >
            {(aria) => (
              <QuantityInput
                {...aria}
                dimension="ratio"
                value={product.densityKgPerL}
                onValue={(densityKgPerL) => change({ densityKgPerL })}
              />
            )}
          </Field>
        )}
      </div>
      <details className="mt-2">
        <summary className="min-h-11 cursor-pointer font-bold">What is in it, per cent as printed</summary>
        {PRINTED.map(([words, names]) => (
          <div key={words} className="mb-2">
            <p className="text-sm text-soft">{words}</p>
            <div className="grid grid-cols-4 gap-2">
              {names.map((name) => (
                <label key={name} className="text-sm font-bold">
                  {name === "N" ? "N, all of it" : name}
                  <QuantityInput
                    dimension="ratio"
                    placeholder="–"
                    value={product.label[name] ?? null}
                    onValue={(value) => change({ label: { ...product.label, [name]: value } })}
                  />
                </label>
              ))}
            </div>
          </div>
        ))}
        {product.form === "liquid" && (
          <label className="mt-1 flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              checked={product.isByVolume}
              onChange={({ target }) => change({ isByVolume: target.checked })}
            />
            by volume: g in 100 mL
          </label>
        )}
        <p className="text-sm text-soft">
          Nitrogen by its forms where they are printed; then EC can be worked out. N alone where they are not.
        </p>
      </details>
    </fieldset>
  );
}
