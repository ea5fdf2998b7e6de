import { DatabaseError } from "pg";

/** What a refused constraint means to the person who typed. Keys are constraint names of db/migrations. */
const CONSTRAINTS: Readonly<Record<string, { readonly field?: string; readonly message: string }>> = {
  store_not_overfull: { field: "stored_l", message: "The store cannot hold more than its capacity." },
  loop_working_fits: { field: "workingL", message: "The working volume is larger than the tank." },
  loop_injector_has_range: { field: "injectorLeastLph", message: "An injector needs its flow range." },
  loop_injector_range: {
    field: "injectorGreatestLph",
    message: "The injector's greatest flow is under its least.",
  },
  stock_tank_not_overfull: { field: "leftL", message: "More is left than the stock tank holds." },
  recipe_ec_in_band: { field: "ecMsPerCm", message: "The EC wanted lies outside its own band." },
  recipe_ph_band: { field: "phHigh", message: "The upper pH is under the lower." },
  order_line_days: { field: "to", message: "The order ends before it begins." },
  batch_cells_cover_target: { field: "cells", message: "Fewer cells are sown than plants are wanted." },
  house_garden_id_name_key: { field: "name", message: "Another house has this name." },
  pool_garden_id_name_key: { field: "name", message: "Another pool has this name." },
  stand_house_id_name_key: { field: "name", message: "Another stand in this house has this name." },
  layout_garden_id_name_key: { field: "name", message: "Another layout has this name." },
  cut_list_garden_id_name_key: { field: "name", message: "Another cut list has this name." },
  variety_garden_id_name_key: { field: "name", message: "Another variety has this name." },
  salt_garden_id_name_key: { field: "name", message: "Another salt has this name." },
  outlet_garden_id_name_key: { field: "name", message: "Another outlet has this name." },
  person_garden_id_name_key: { field: "name", message: "Another member has this name." },
  person_account_once: { message: "This account is at home in the garden already." },
  account_name_once: { field: "signInName", message: "Somebody signs in with this name already." },
  log_entry_item_once: { message: "This has been done already; the page shows the newest state now." },
};

const UNIQUE = "23505";
const FOREIGN_KEY = "23503";
const CHECK = "23514";

/** Turns a refusal of the database into words, or gives undefined for a failure that is nobody's input. */
export function refusedBecause(error: unknown): { field?: string; message: string } | undefined {
  if (!(error instanceof DatabaseError)) return undefined;
  const known = error.constraint ? CONSTRAINTS[error.constraint] : undefined;
  if (known) return known;
  switch (error.code) {
    case UNIQUE:
      return { message: "This is there already." };
    case FOREIGN_KEY:
      return {
        message: error.detail?.includes("still referenced")
          ? `It is still used (${(error.table ?? "elsewhere").replace("_", " ")}): take it out there first.`
          : "It refers to something that is not in this garden.",
      };
    case CHECK:
      return { message: `The database refused a value (${error.constraint ?? "check"}).` };
    default:
      return undefined;
  }
}

const AWAY_CODES = new Set(["ECONNREFUSED", "ECONNRESET", "EPIPE", "ETIMEDOUT", "57P01", "57P02", "57P03", "53300", "08006", "08001", "08003"]); // prettier-ignore

/** Whether an error says that the database is away, starting or has no connection left: it will pass. */
export function databaseAway(error: unknown): boolean {
  if (!(error instanceof Error)) return false;
  const { code } = error as { code?: string };
  return (
    (code !== undefined && AWAY_CODES.has(code)) ||
    /Connection terminated|timeout exceeded when trying to connect|not queryable/u.test(error.message)
  );
}
