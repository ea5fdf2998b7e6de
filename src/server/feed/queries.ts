import type { StockTank } from "@/core/feed/feedSheet";
import type { NutrientAmounts } from "@/core/feed/nutrients";
import type { Salt, StockLetter } from "@/core/feed/salts";
import type { Day } from "@/core/units/day";
import { many, type Db } from "../db/pool";

export interface SaltRow extends Salt {
  readonly id: number;
  readonly version: number;
  readonly chelate: boolean;
  readonly onHandG: number;
  readonly pricePerKg: number;
  readonly caution: string;
}

export interface Recipe {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly targetsMgPerL: NutrientAmounts;
  readonly ecMsPerCm: number;
  readonly ecLow: number;
  readonly ecHigh: number;
  readonly phLow: number;
  readonly phHigh: number;
  readonly salts: readonly { readonly saltId: number; readonly stock: StockLetter }[];
}

export interface StockTankRow extends StockTank {
  readonly version: number;
  readonly loopId: number;
  readonly readOn: Day;
}

/** The salt shelf. */
export function salts(db: Db, gardenId: number): Promise<SaltRow[]> {
  return many<SaltRow>(
    db,
    `select id, version, name, percent, solubility_g_per_l as "solubilityGPerL", chelate, on_hand_g as "onHandG",
            price_per_kg as "pricePerKg", caution
       from salt where garden_id = $1 order by name`,
    [gardenId],
  );
}

/** Recipes with their salts and the stock each salt goes into. */
export function recipes(db: Db, gardenId: number): Promise<Recipe[]> {
  return many<Recipe>(
    db,
    `select id, version, name, targets_mg_per_l as "targetsMgPerL", ec_ms_per_cm as "ecMsPerCm", ec_low as "ecLow", ec_high as "ecHigh",
            ph_low as "phLow", ph_high as "phHigh",
            coalesce((select jsonb_agg(jsonb_build_object('saltId', salt_id, 'stock', stock) order by stock, salt_id)
                        from recipe_salt where recipe_id = recipe.id and recipe_salt.garden_id = $1), '[]') as salts
       from recipe where garden_id = $1 order by id`,
    [gardenId],
  );
}

export function stockTanks(db: Db, gardenId: number): Promise<StockTankRow[]> {
  return many<StockTankRow>(
    db,
    `select version, loop_id as "loopId", letter, volume_l as "volumeL", left_l as "leftL", read_on as "readOn"
       from stock_tank where garden_id = $1 order by loop_id, letter`,
    [gardenId],
  );
}
