"use server";
import type { Changes, Row } from "@/core/garden/changes";
import { newRow } from "@/core/garden/edit";
import { RECIPE, RECIPE_SALT, SALT } from "@/core/garden/entities/feed";
import type { Entity } from "@/core/garden/entities/field";
import { freeName } from "@/core/garden/setup/setUp";
import { elementsOfLabel, scaled } from "@/core/feed/label";
import { planCommand } from "../garden/planCommand";
import { keepDoseSchema } from "./keepDoseSchema";

const [SALT_ID, RECIPE_ID, PART_ID] = [-1, -2, -3];
/** Around what is wanted, where nobody has told a band. */
const EC_BAND = 0.15;
const PH_BAND = { phLow: 5.6, phHigh: 6.5 };

/** Keeps a product by its label: as a salt on the shelf, and as a recipe that it alone makes at the label's dose. */
export const keepDose = planCommand("plan", keepDoseSchema, ({ name, label, gramsPerL, ecMsPerCm }, tables) => {
  // Nitrogen whole is no nutrient of its own: its forms are.
  const { N: _all, ...percent } = elementsOfLabel(label);
  const names = new Set(Object.values(tables.salt ?? {}).map((row) => String(row.name)));
  const salt = freeName(name, names);
  const added = (entity: Entity, id: number, row: Row): Changes => ({
    [entity.table]: { added: { [id]: newRow(tables, entity, id, row) }, removed: {}, updated: {} },
  });
  return {
    changes: {
      ...added(SALT, SALT_ID, { name: salt, percent }),
      ...added(RECIPE, RECIPE_ID, {
        name: salt,
        ecMsPerCm,
        ecLow: ecMsPerCm * (1 - EC_BAND),
        ecHigh: ecMsPerCm * (1 + EC_BAND),
        ...PH_BAND,
        targetsMgPerL: scaled(percent, gramsPerL * 10) as Row,
      }),
      ...added(RECIPE_SALT, PART_ID, { recipeId: RECIPE_ID, saltId: SALT_ID, stock: "A", gPer1000L: gramsPerL * 1000 }),
    },
    value: (ids) => ids.get(RECIPE_ID)!,
  };
});
