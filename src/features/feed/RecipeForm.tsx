"use client";
import { useFormContext, useWatch } from "react-hook-form";
import { NUTRIENTS } from "@/core/feed/nutrients";
import { stockFor } from "@/core/feed/salts";
import { stockConflict } from "@/core/feed/stocks";
import { saveRecipe } from "@/server/feed/actions";
import type { Recipe, SaltRow } from "@/server/feed/queries";
import { recipeSchema } from "@/server/feed/schema";
import { AmountFields } from "@/ui/form/AmountFields";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text" },
  { name: "ecMsPerCm", label: "EC wanted", type: "quantity", dimension: "ec" },
  { name: "ecLow", label: "EC band from", type: "quantity", dimension: "ec" },
  { name: "ecHigh", label: "EC band to", type: "quantity", dimension: "ec" },
  { name: "phLow", label: "pH from", type: "quantity", dimension: "ph" },
  { name: "phHigh", label: "pH to", type: "quantity", dimension: "ph" },
];
/** Leafy greens in recirculating water. */
const EXAMPLE = {
  id: null, version: null, name: "", ecMsPerCm: 1.5, ecLow: 1.3, ecHigh: 1.7, phLow: 5.7, phHigh: 6.3, salts: [],
  targetsMgPerL: { "NO3-N": 266, "NH4-N": 17.5, P: 62, K: 430, Ca: 180, Mg: 24.3, S: 36, Fe: 2, Mn: 0.5, Zn: 0.25, Cu: 0.04, B: 0.3, Mo: 0.05 },
}; // prettier-ignore

export function RecipeForm({
  recipe,
  salts,
  onDone,
}: {
  recipe: Recipe | null;
  salts: readonly SaltRow[];
  onDone: () => void;
}) {
  return (
    <EntityForm
      schema={recipeSchema}
      fields={FIELDS}
      defaults={recipe ?? EXAMPLE}
      action={saveRecipe}
      saved="Recipe saved"
      onDone={onDone}
    >
      <AmountFields
        name="targetsMgPerL"
        legend="Targets, mg/L of the element"
        keys={NUTRIENTS.filter((nutrient) => nutrient !== "urea-N")}
      />
      <SaltChoice salts={salts} />
    </EntityForm>
  );
}

type Chosen = readonly { readonly saltId: number; readonly stock: "A" | "B" }[];

/** Salts of the recipe and the stock each goes into; what may not stand together is said at once. */
function SaltChoice({ salts }: { salts: readonly SaltRow[] }) {
  const { control, setValue, formState } = useFormContext();
  const chosen = (useWatch({ control, name: "salts" }) ?? []) as Chosen;
  const set = (next: Chosen) => setValue("salts", next, { shouldDirty: true });
  const put = (salt: SaltRow, stock: "A" | "B" | null) => {
    const others = chosen.filter((entry) => entry.saltId !== salt.id);
    set(stock ? [...others, { saltId: salt.id, stock }] : others);
  };
  const conflicts = (["A", "B"] as const).flatMap((letter) => {
    const own = salts.filter((salt) => chosen.some((entry) => entry.saltId === salt.id && entry.stock === letter));
    const conflict = stockConflict(own);
    return conflict ? [`Stock ${letter}: ${conflict.reason}`] : [];
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
              <select
                aria-label={`Stock of ${salt.name}`}
                className="input !w-24"
                value={stock ?? ""}
                onChange={(event) => put(salt, (event.target.value || null) as "A" | "B" | null)}
              >
                <option value="">not in it</option>
                <option>A</option>
                <option>B</option>
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
