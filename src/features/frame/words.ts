import { dayInWords } from "@/core/units/day";
import type { UnitPreferences } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import { whoMay } from "@/core/people/rights";
import type { Constraint, UsedBy } from "@/server/db/constraints";
import type { Warning } from "@/server/round/signs";
import type { CommonRefusal, Gone } from "@/server/session/refused";

/** What a constraint of the database means to the person who typed. */
const CONSTRAINTS: Readonly<Record<Constraint, string>> = {
  store_not_overfull: "The store cannot hold more than its capacity.",
  loop_normal_fill_fits: "The normal fill level is more than the tank holds.",
  loop_injector_has_range: "An injector needs its flow range.",
  loop_injector_range: "The injector's maximum flow is under its minimum.",
  loop_acid_told_whole: "Another strength of acid needs its density too.",
  loop_injector_ratios: "The injector's weakest setting is under its strongest.",
  loop_injector_heads: "The injector's maximum pressure is under its minimum.",
  stock_tank_not_overfull: "More is left than the stock tank holds.",
  recipe_ec_in_band: "The EC wanted lies outside its own band.",
  recipe_ph_band: "The upper pH is under the lower.",
  order_line_days: "The order ends before it begins.",
  batch_cells_cover_target: "Fewer cells are sown than plants are wanted.",
  house_garden_id_name_key: "Another house has this name.",
  growing_area_garden_id_name_key: "Another growing area has this name.",
  stand_house_id_name_key: "Another stand in this house has this name.",
  layout_garden_id_name_key: "Another layout has this name.",
  cut_list_garden_id_name_key: "Another cut list has this name.",
  change_set_garden_id_name_key: "Another what-if has this name.",
  harvest_unit_garden_id_name_key: "Another unit has this name.",
  variety_garden_id_name_key: "Another variety has this name.",
  salt_garden_id_name_key: "Another salt has this name.",
  customer_garden_id_name_key: "Another customer has this name.",
  meter_garden_id_name_key: "Another meter has this name.",
  salt_liquid_has_density: "A liquid is dosed by volume: say how heavy a litre of it is.",
  salt_lot_name_once: "A salt has two lots of the same name.",
  salt_lot_days: "A lot comes first, is opened later, and used up last.",
  variety_step_due: "A step is due outside its stage.",
  seed_lot_name_once: "A variety has two lots of seed of the same name.",
  batch_place_days: "A place is free again before it is taken.",
  batch_place_free: "Two batches would stand on the same sites at the same time.",
  batch_stage_counted: "More seedlings are up than seeds were looked at.",
  batch_stage_ready: "A stage was found ready before it began.",
  variety_not_modelled: "Of what its days leave out, something is not known here.",
  person_garden_id_name_key: "Another member has this name.",
  season_once: "Somebody told the settings of the season meanwhile: reload, and change theirs.",
  closed_day_once: "This day is entered already.",
  climate_once: "Somebody told the climate meanwhile: reload, and change theirs.",
  person_account_once: "Already a member of this garden.",
  account_name_once: "Somebody signs in with this name already.",
  log_entry_item_once: "This was done already; the page now shows the latest state.",
};

/** Where something is still used. */
const USED_IN: Readonly<Record<UsedBy, string>> = {
  batch: "batches",
  batch_place: "places of batches",
  batch_stage: "batches",
  log_entry: "the log",
  loop: "loops",
  order_line: "orders",
  recipe_salt: "recipes",
  salt_lot: "lots of salts",
  seed_lot: "lots of seed",
  stand: "stands",
  stock_tank: "stock tanks",
  variety: "crops",
  variety_stage: "stages of crops",
  variety_step: "steps of crops",
};

const GONE: Readonly<Record<Gone, string>> = {
  account: "This account",
  "cut-list": "This list",
  entry: "This entry",
  garden: "This garden",
  job: "This work",
  layout: "This layout",
  log: "The log",
  reading: "This reading",
  "stock-tank": "This stock tank",
  store: "This store",
};

/** Why something was not saved, where the reason is the same in every room. */
export function commonRefusalWords(refusal: CommonRefusal): string {
  switch (refusal.kind) {
    case "signed-out":
      return "You are signed out. Sign in again in another tab: what you typed stays here.";
    case "password-again":
      return "Type your password once more: this changes who can get in.";
    case "fields":
      return "Not saved: some fields need another look.";
    case "outside-range":
      return "Not saved: one of the figures is outside what can be worked out. What you typed is still here.";
    case "database-away":
      return "Not saved: the database does not answer. What you typed is still here; try again in a moment.";
    case "failed":
      return "Not saved: something failed here. What you typed is still here; nothing was half-saved.";
    case "act-without-id":
      return "Not saved: reload the page and try again.";
    case "act-used":
      return "Not saved: this was sent before with different content. Reload the page and try again.";
    case "there-already":
      return "This already exists.";
    case "refers-elsewhere":
      return "It refers to something that is not in this garden.";
    case "not-in-what-if":
      return "This is not part of a what-if: leave the what-if first. It is for what really happened or really stands there.";
    case "what-if-gone":
      return "This what-if is no longer there: somebody may have deleted it.";
    case "conflict-open":
      return "This was changed in the garden as well: settle that on the What if sheet first.";
    case "job-gave-up":
      return "It was begun several times and never came to an end; try again, or with less at once.";
    case "nothing-to-adopt":
      return "There is nothing to adopt: all of it is in the garden already.";
    case "not-allowed":
      return `As a ${refusal.role} you may not do this; ${whoMay(refusal.right)} may.`;
    case "stale":
      return `Not saved: ${refusal.by} changed this meanwhile. Choose between the two versions, and save again.`;
    case "gone":
      return refusal.what === null
        ? "This is no longer there: somebody may have deleted it."
        : `${GONE[refusal.what]} is no longer there: somebody may have deleted it.`;
    case "constraint":
      return CONSTRAINTS[refusal.name];
    case "still-used":
      return `It is still used (${refusal.by === null ? "elsewhere" : USED_IN[refusal.by]}): take it out there first.`;
  }
}

/** What a station warns of, in one line; nothing where it warns of nothing. */
export function warningWords(warning: Warning | null, units: UnitPreferences): string | undefined {
  if (!warning) return undefined;
  if (warning.kind === "weak-loop") return `${warning.loop} loop falls short`;
  const { name, day, amount, dimension } = warning.shortage;
  return `${name} short from ${dayInWords(day)}: ${quantityText(amount, dimension, units)}`;
}
