"use client";
import { stockConflictWords } from "./words";
import { useFormContext, useWatch } from "react-hook-form";
import { AIMS } from "@/core/feed/recipeWish";
import { inStock, STOCK_LETTERS, STOCK_PLACES, stockFor, type StockPlace } from "@/core/feed/salts";
import { stockConflict } from "@/core/feed/stocks";
import { saveRecipe } from "@/server/feed/actions";
import type { SaltRow } from "@/core/garden/garden";
import type { Recipe } from "@/core/garden/garden";
import { recipeSchema } from "@/server/feed/schema";
import { AmountFields } from "@/features/frame/form/AmountFields";
import { EntityForm } from "@/features/frame/form/EntityForm";
import { formValues } from "@/features/frame/form/formValues";
import { fieldsOf } from "@/features/frame/form/entityFields";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { RECIPE, RECIPE_SALT } from "@/core/garden/entities/feed";

const isByLabel = (values: { byLabel?: boolean }) => values.byLabel === true;
const FIELDS = fieldsOf(RECIPE, {
  labelEcMsPerCm: { when: isByLabel },
  balanceDoubted: { when: (values: { byLabel?: boolean }) => !isByLabel(values) },
});
/** N is nitrogen of all forms. Urea is never in loops; a target names its form or all of them. */
const AIMED = AIMS.filter((aim) => aim !== "urea-N" && aim !== "unstated-N");
/** Leafy greens in recirculating water. */
const EXAMPLE = {
  name: "",
  ecMsPerCm: 1.5,
  ecLow: 1.3,
  ecHigh: 1.7,
  phLow: 5.7,
  phHigh: 6.3,
  salts: [],
  leastMgPerL: {},
  greatestMgPerL: { Mn: 1.5, Zn: 0.6, Cu: 0.2, B: 0.7 },
  ammoniumShareMost: 0.15,
  balanceDoubted: false,
  byLabel: false,
  labelEcMsPerCm: null,
  targetsMgPerL: {
    "NO3-N": 266,
    "NH4-N": 17.5,
    P: 62,
    K: 430,
    Ca: 180,
    Mg: 24.3,
    S: 36,
    Fe: 2,
    Mn: 0.5,
    Zn: 0.25,
    Cu: 0.04,
    B: 0.3,
    Mo: 0.05,
  },
};

export function RecipeForm({
  recipe,
  copied,
  salts,
  onDone,
}: {
  recipe: Recipe | null;
  /** A new one begins as a copy of it. */
  copied?: Recipe;
  salts: readonly SaltRow[];
  onDone: () => void;
}) {
  return (
    <EntityForm
      form="recipe"
      place={copied ? `copy of ${copied.id} ` : ""}
      schema={recipeSchema}
      fields={FIELDS}
      defaults={formValues(RECIPE, recipe ?? copyOf(copied) ?? EXAMPLE, { salts: RECIPE_SALT })}
      action={saveRecipe}
      saved="Recipe saved"
      onDone={onDone}
    >
      <Targets />
      <details className="mt-3">
        <summary className="min-h-11 cursor-pointer font-bold">What it must hold</summary>
        <AmountFields name="leastMgPerL" legend="At least, mg/L of the recipe as written" keys={AIMED} />
        <AmountFields name="greatestMgPerL" legend="At most in the ready feed, mg/L" keys={AIMED} />
      </details>
      <SaltChoice salts={salts} />
    </EntityForm>
  );
}

/** What it aims at; a feed by labels aims at nothing. */
function Targets() {
  const { control } = useFormContext();
  const byLabel = useWatch({ control, name: "byLabel" }) as boolean | undefined;
  return byLabel ? null : <AmountFields name="targetsMgPerL" legend="Targets, mg/L of the element" keys={AIMED} />;
}

/** The same under another name, with its amounts. */
function copyOf(recipe: Recipe | undefined): object | null {
  if (!recipe) return null;
  const { id: _own, ...same } = recipe;
  return {
    ...same,
    name: `${recipe.name}, copy`.slice(0, 80),
    salts: recipe.salts.map(({ id: _part, ...salt }) => salt),
  };
}

type Chosen = readonly {
  readonly saltId: number;
  readonly stock: StockPlace;
  readonly gPer1000L?: QuantityValue;
}[];

/** Salts of the recipe and the stock each goes into; what may not go together is said at once. */
function SaltChoice({ salts }: { salts: readonly SaltRow[] }) {
  const { control, setValue, clearErrors, formState } = useFormContext();
  const chosen = (useWatch({ control, name: "salts" }) ?? []) as Chosen;
  const byLabel = useWatch({ control, name: "byLabel" }) as boolean | undefined;
  const set = (next: Chosen) => {
    setValue("salts", next, { shouldDirty: true });
    // What was refused was refused as it stood before.
    clearErrors(["salts", "root"]);
  };
  const put = (salt: SaltRow, stock: StockPlace | null) => {
    const others = chosen.filter((entry) => entry.saltId !== salt.id);
    set(stock ? [...others, { saltId: salt.id, stock }] : others);
  };
  const conflicts = STOCK_LETTERS.flatMap((letter) => {
    const own = salts.filter((salt) =>
      chosen.some((entry) => entry.saltId === salt.id && inStock(entry.stock, letter) > 0),
    );
    const conflict = stockConflict(own);
    return conflict ? [`Stock ${letter}: ${stockConflictWords(conflict)}`] : [];
  });
  const refused = (formState.errors.salts as { message?: string } | undefined)?.message;
  return (
    <fieldset className="mt-3 border-t border-rule pt-2">
      <legend className="sign text-xl">Salts and their stock</legend>
      <ul>
        {salts.map((salt) => {
          const stock = chosen.find((entry) => entry.saltId === salt.id)?.stock ?? null;
          const usual = stockFor(salt);
          return (
            <li key={salt.id} className="flex items-center justify-between gap-2 border-b border-rule py-1">
              <span>
                {salt.name}{" "}
                <span className="text-sm text-soft">{usual === "either" ? "either" : `belongs in ${usual}`}</span>
              </span>
              {byLabel && stock && (
                <LabelDoseInput
                  salt={salt}
                  gPer1000L={chosen.find((entry) => entry.saltId === salt.id)?.gPer1000L ?? null}
                  onGrams={(gPer1000L) =>
                    set(chosen.map((entry) => (entry.saltId === salt.id ? { ...entry, gPer1000L } : entry)))
                  }
                />
              )}
              <select
                aria-label={`Stock of ${salt.name}`}
                className="input !w-24"
                value={stock ?? ""}
                onChange={(event) => put(salt, (event.target.value || null) as StockPlace | null)}
              >
                <option value="">not used</option>
                {STOCK_PLACES.filter((place) => place !== "A+B" || usual === "either").map((place) => (
                  <option key={place}>{place}</option>
                ))}
              </select>
            </li>
          );
        })}
      </ul>
      {(conflicts.length > 0 ? conflicts : refused ? [refused] : []).map((reason) => (
        <p key={reason} role="alert" className="mt-2 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
          {reason}
        </p>
      ))}
    </fieldset>
  );
}

/** What the label says for a litre: millilitres of a liquid, grams of anything else. */
function LabelDoseInput({
  salt,
  gPer1000L,
  onGrams,
}: {
  readonly salt: SaltRow;
  readonly gPer1000L: QuantityValue;
  readonly onGrams: (gPer1000L: QuantityValue) => void;
}) {
  const perG = salt.form === "liquid" ? 1 / (salt.densityKgPerL ?? 1) : 1;
  return (
    <label className="flex items-center gap-1 text-sm">
      <QuantityInput
        className="!w-24"
        aria-label={`The label’s dose of ${salt.name}`}
        dimension="ratio"
        value={typeof gPer1000L === "number" ? (gPer1000L / 1000) * perG : gPer1000L}
        onValue={(perL) => onGrams(typeof perL === "number" ? (perL * 1000) / perG : perL)}
      />
      {salt.form === "liquid" ? "mL/L" : "g/L"}
    </label>
  );
}
