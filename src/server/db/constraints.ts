/** The field beside which a refused constraint is shown. Keys are constraint names of db/migrations. */
export const CONSTRAINTS = {
  store_not_overfull: "stored_l",
  loop_normal_fill_fits: "normalFillL",
  loop_injector_has_range: "injectorLeastLph",
  loop_injector_range: "injectorGreatestLph",
  loop_acid_told_whole: "acidDensityKgPerL",
  loop_injector_ratios: "injectorGreatestR",
  loop_injector_heads: "injectorGreatestHeadM",
  stock_tank_not_overfull: "leftL",
  recipe_ec_in_band: "ecMsPerCm",
  recipe_ph_band: "phHigh",
  order_line_days: "to",
  batch_cells_cover_target: "cells",
  house_garden_id_name_key: "name",
  growing_area_garden_id_name_key: "name",
  stand_house_id_name_key: "name",
  layout_garden_id_name_key: "name",
  cut_list_garden_id_name_key: "name",
  change_set_garden_id_name_key: "name",
  harvest_unit_garden_id_name_key: "name",
  variety_garden_id_name_key: "name",
  salt_garden_id_name_key: "name",
  customer_garden_id_name_key: "name",
  meter_garden_id_name_key: "name",
  salt_liquid_has_density: "densityKgPerL",
  salt_lot_name_once: null,
  salt_lot_days: null,
  person_garden_id_name_key: "name",
  climate_once: null,
  person_account_once: null,
  account_name_once: "signInName",
  log_entry_item_once: null,
} as const satisfies Readonly<Record<string, string | null>>;

export type Constraint = keyof typeof CONSTRAINTS;

/** Tables that refer to rows of others. */
export const USERS = [
  "batch",
  "batch_stage",
  "log_entry",
  "loop",
  "order_line",
  "recipe_salt",
  "salt_lot",
  "stand",
  "stock_tank",
  "variety",
  "variety_stage",
] as const;
export type UsedBy = (typeof USERS)[number];
