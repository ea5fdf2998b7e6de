import { DEMO_PASSWORD } from "./demoPassword";
import type { Role } from "@/core/people/rights";
import { many, maybeOne, one, type Db } from "../db/pool";
import { actAs } from "../session/onBehalf";
import type { GardenInput } from "./schema";

export interface Member {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly role: Role;
  /** Whether they can sign in: a name in the log may have no account. */
  readonly hasAccount: boolean;
}

export interface DemoAccount {
  readonly name: string;
  readonly signInName: string;
  readonly role: Role;
  readonly password: string;
}

/** People of a garden, those who may do most first. */
export function members(db: Db, gardenId: number): Promise<Member[]> {
  return many<Member>(
    db,
    `select id, version, name, role, account_id is not null as "hasAccount" from person where garden_id = $1 and left_at is null
      order by array_position(array['keeper', 'grower', 'helper', 'viewer'], role), name`,
    [gardenId],
  );
}

export function gardenSettings(db: Db, gardenId: number): Promise<GardenInput> {
  return one<GardenInput & Record<string, unknown>>(
    db,
    "garden",
    `select version, name, place, latitude_deg as "latitudeDeg", unit_system as "unitSystem", ec_unit as "ecUnit",
            temperature_unit as "temperatureUnit", currency, sow_weekdays as "sowWeekdays" from garden where id = $1`,
    [gardenId],
  );
}

/** The people of the demo garden, for the sign-in page; none where it is not loaded. */
export async function demoAccounts(db: Db): Promise<DemoAccount[]> {
  const row = await maybeOne<{ id: number | null }>(db, "select demo_garden as id from installation");
  if (!row?.id) return [];
  await actAs(db, { gardenId: row.id });
  const accounts = await many<Omit<DemoAccount, "password"> & Record<string, unknown>>(
    db,
    `select person.name, account.sign_in_name as "signInName", person.role
       from person join account on account.id = person.account_id
      where person.garden_id = $1 and account.is_demo and person.left_at is null
      order by array_position(array['keeper', 'grower', 'helper', 'viewer'], person.role), person.name`,
    [row.id],
  );
  return accounts.map((account) => ({ ...account, password: DEMO_PASSWORD }));
}
