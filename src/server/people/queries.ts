import { DEMO_PASSWORD } from "./demoPassword";
import type { Role } from "@/core/people/rights";
import { many, maybeOne, one, type Db } from "../db/pool";
import { sayForWhom } from "../session/onBehalf";
import type { GardenInput } from "./schema";

export interface Member {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly role: Role;
  /** Whether they can sign in: a name in the log may have no account. */
  readonly hasAccount: boolean;
}

export interface OpenInvitation {
  readonly id: number;
  readonly role: Role;
  readonly madeBy: string;
  readonly expiresAt: Date;
}

export interface DemoAccount {
  readonly name: string;
  readonly signInName: string;
  readonly role: Role;
  readonly password: string;
}

export interface HomeGarden {
  readonly id: number;
  readonly name: string;
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
    "The garden",
    `select version, name, place, latitude_deg as "latitudeDeg", unit_system as "unitSystem", ec_unit as "ecUnit",
            temperature_unit as "temperatureUnit", currency, sow_weekdays as "sowWeekdays" from garden where id = $1`,
    [gardenId],
  );
}

/** Invitations that nobody has taken up yet. */
export function openInvitations(db: Db, gardenId: number): Promise<OpenInvitation[]> {
  return many<OpenInvitation & Record<string, unknown>>(
    db,
    `select invitation.id, invitation.role, person.name as "madeBy", expires_at as "expiresAt"
       from invitation join person on person.id = made_by
      where invitation.garden_id = $1 and used_at is null and withdrawn_at is null and expires_at > now() order by expires_at`,
    [gardenId],
  );
}

/** Where an account is at home. */
export function homeGardens(db: Db, accountId: number): Promise<HomeGarden[]> {
  return many<HomeGarden & Record<string, unknown>>(
    db,
    `select garden.id, garden.name from person join garden on garden.id = person.garden_id
      where person.account_id = $1 and person.left_at is null order by garden.name, garden.id`,
    [accountId],
  );
}

/** The people of the demo garden, for the sign-in page; none where it is not loaded. */
export async function demoAccounts(db: Db): Promise<DemoAccount[]> {
  const row = await maybeOne<{ id: number | null }>(db, "select demo_garden as id from installation");
  if (!row?.id) return [];
  await sayForWhom(db, { gardenId: row.id });
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

/** When the last backup worked, and what was wrong with the newest if it did not. */
export async function backupState(db: Db): Promise<{ lastAt: Date | null; problem: string | null }> {
  const last = await maybeOne<{ at: Date }>(
    db,
    "select at from backup_run where problem is null order by id desc limit 1",
  );
  const newest = await maybeOne<{ problem: string | null }>(
    db,
    "select problem from backup_run order by id desc limit 1",
  );
  return { lastAt: last?.at ?? null, problem: newest?.problem ?? null };
}
