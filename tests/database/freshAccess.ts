import { freshDatabase, type TestDatabase } from "./database";
import { signedOut, withHeaders } from "./request";
import { rowsOf, type Rows } from "./samples";

export const access = () => import("../../src/server/people/accessActions");

/** The demo garden's keeper. */
export const RIGHT = { signInName: "ines", password: "saltcote-yard" };

/** Signs in as its keeper, with a browser that nobody knows. */
export async function fresh() {
  signedOut();
  return (await access()).signIn(RIGHT);
}

export const who = async () => (await import("../../src/server/session/session")).maybeSession();

/** A demo garden of its own for each test, since what was closed stays closed. */
export function freshAccess() {
  let database: TestDatabase;
  beforeEach(async () => {
    process.env.SEED_ROUND_TODAY = "2027-09-02";
    process.env.SEED_ROUND_SECRET = "s".repeat(48);
    withHeaders({});
    database = await freshDatabase("demo_template");
    process.env.DATABASE_URL = database.appUrl;
    (globalThis as { seedRoundPool?: unknown }).seedRoundPool = undefined;
  });
  afterEach(async () => {
    const { pool } = await import("../../src/server/db/pool");
    await pool().end();
    await database.close();
  });
  const rows: Rows = (sql, values) => rowsOf(database.pool)(sql, values);
  const idOf = async (name: string) => {
    const [member] = await rows<{ id: number }>("select id from person where garden_id = 1 and name = $1", [name]);
    return member!.id;
  };
  return {
    rows,
    idOf,
    async invitedAs(role: string) {
      const { invite } = await import("../../src/server/people/memberActions");
      return ((await invite({ role, days: 1 })) as { value: string }).value;
    },
    async resetLinkFor(name: string) {
      const { makeResetLink } = await import("../../src/server/people/memberActions");
      return makeResetLink({ id: await idOf(name) });
    },
  };
}

export const SECOND_GARDEN = {
  gardenName: "Second yard",
  place: "",
  latitudeDeg: 10,
  timeZone: "Europe/Lisbon",
  currency: "€",
  unitSystem: "us",
};
