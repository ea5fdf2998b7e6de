import type { Role } from "@/core/people/rights";
import { maybeOne, type Db } from "../db/pool";
import { saveRow } from "../db/save";
import type { Account } from "./accounts";

/**
 * Makes an account a member of a garden: a new one, or again in its old place, with what it did there before.
 * @returns the member's id
 */
export async function returnToGarden(db: Db, gardenId: number, account: Account, role: Role): Promise<number> {
  const old = await maybeOne<{ id: number; name: string; left: boolean }>(
    db,
    "select id, name, left_at is not null as left from person where garden_id = $1 and account_id = $2",
    [gardenId, account.id],
  );
  const name = old?.left === false ? old.name : await freeName(db, gardenId, old?.name ?? account.name);
  // One who is a member already is refused by the row's own constraint.
  if (!old || !old.left) return saveRow(db, "person", gardenId, null, { name, role, account_id: account.id });
  return saveRow(db, "person", gardenId, old.id, { name, role, left_at: null });
}

/** The name, with a figure behind it when a member has it by now. */
async function freeName(db: Db, gardenId: number, name: string): Promise<string> {
  for (let count = 1; ; count++) {
    const tried = count === 1 ? name : `${name.slice(0, 76)} ${count}`;
    const taken = await maybeOne(db, "select 1 from person where garden_id = $1 and name = $2 and left_at is null", [
      gardenId,
      tried,
    ]);
    if (!taken) return tried;
  }
}
