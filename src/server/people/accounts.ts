import { maybeOne, one, type Db } from "../db/pool";
import { saveRow } from "../db/save";
import { actAs } from "../session/onBehalf";
import type { NewAccountInput, NewGardenInput } from "./accessSchema";
import { createGarden } from "./newGarden";
import { passwordHash } from "./password";

export interface Account {
  readonly id: number;
  readonly name: string;
  readonly signInName: string;
  readonly passwordHash: string;
}

const ACCOUNT = `id, name, sign_in_name as "signInName", password_hash as "passwordHash"`;

export function accountByName(db: Db, signInName: string): Promise<Account | null> {
  return maybeOne<Account & Record<string, unknown>>(db, `select ${ACCOUNT} from account where sign_in_name = $1`, [
    signInName,
  ]);
}

export function accountById(db: Db, id: number): Promise<Account> {
  return one<Account & Record<string, unknown>>(db, "account", `select ${ACCOUNT} from account where id = $1`, [id]);
}

/** @returns the new account's id */
export async function createAccount(db: Db, input: NewAccountInput, isDemo = false): Promise<number> {
  const { id } = await one<{ id: number }>(
    db,
    "account",
    `insert into account (name, sign_in_name, password_hash, is_demo) values ($1, $2, $3, $4) returning id`,
    [input.name, input.signInName, await passwordHash(input.password), isDemo],
  );
  return id;
}

export async function hasAccounts(db: Db): Promise<boolean> {
  return (await maybeOne(db, "select 1 from account limit 1")) !== null;
}

/** Makes a garden whose keeper is this account. From here the transaction works for that garden. @returns its id */
export async function createOwnGarden(
  db: Db,
  accountId: number,
  keeperName: string,
  input: NewGardenInput,
): Promise<number> {
  const { gardenId, keeperId } = await createGarden(
    db,
    {
      name: input.gardenName,
      place: input.place,
      latitudeDeg: input.latitudeDeg,
      timeZone: input.timeZone,
      currency: input.currency,
      sowWeekdays: EVERY_DAY,
      isDemo: false,
    },
    keeperName,
  );
  await actAs(db, { gardenId, personId: keeperId, accountId });
  await saveRow(db, "person", gardenId, keeperId, { account_id: accountId });
  await saveUnits(db, gardenId, input.unitSystem);
  return gardenId;
}

/** Sown on any day, until somebody says otherwise. */
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

async function saveUnits(db: Db, gardenId: number, system: NewGardenInput["unitSystem"]): Promise<void> {
  await db.query("update garden set unit_system = $2, temperature_unit = $3 where id = $1", [
    gardenId,
    system,
    system === "us" ? "°F" : "°C",
  ]);
}
