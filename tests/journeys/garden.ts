import { test as base, expect, type Page } from "@playwright/test";
import pg from "pg";
import { caller } from "../../scripts/lib/calls";
import { serve, type WebServer } from "../../scripts/lib/web";
import { passwordOf } from "./people";

/** A running copy of the application on a database that no other journey uses meanwhile. */
export interface Garden {
  readonly url: string;
  /** The database as its owner sees it. */
  readonly ownerUrl: string;
  /** Asks the database, for what the screen does not say. */
  rows<Row extends pg.QueryResultRow>(sql: string, values?: unknown[]): Promise<Row[]>;
}

interface Options {
  /** Which database the garden is a copy of. */
  readonly template: "demo_template" | "bare_template" | "empty_template";
  /** Who is signed in when a journey begins; null: nobody. */
  readonly as: string | null;
}

/** One server for all journeys that a worker walks, one after the other. */
interface Site {
  readonly name: string;
  readonly ownerUrl: string;
  readonly web: WebServer;
}

const SERVER = () => process.env.SEED_ROUND_TEST_URL!;
const at = (url: string, database: string) => url.replace(/\/postgres$/u, `/${database}`);

/** Journeys run against the built application, real PostgreSQL and a garden that is laid again for each. */
export const test = base.extend<Options & { garden: Garden }, { site: Site }>({
  template: ["demo_template", { option: true }],
  as: ["ines", { option: true }],
  site: [
    async ({}, provide, { workerIndex }) => {
      const name = `journeys_${workerIndex}`;
      await administer(`create database ${name} template empty_template`);
      const web = await serve({
        DATABASE_URL: at(process.env.SEED_ROUND_TEST_APP_URL!, name),
        SEED_ROUND_SECRET: process.env.SEED_ROUND_SECRET!,
      });
      await provide({ name, ownerUrl: at(SERVER(), name), web });
      await web.stop();
      await administer(`drop database if exists ${name} with (force)`);
    },
    { scope: "worker", timeout: 300_000 },
  ],
  garden: async ({ site, template }, provide) => {
    await administer(
      `drop database if exists ${site.name} with (force)`,
      `create database ${site.name} template ${template}`,
    );
    // The connections of the journey before are gone; the server notices when it asks.
    await expect.poll(async () => (await fetch(`${site.web.url}/readyz`)).status, { intervals: [20] }).toBe(200);
    const pool = new pg.Pool({ connectionString: site.ownerUrl, max: 2 });
    pool.on("error", () => undefined);
    const rows: Garden["rows"] = async (sql, values) => (await pool.query(sql, values)).rows;
    await provide({ url: site.web.url, ownerUrl: site.ownerUrl, rows });
    await pool.end();
  },
  baseURL: async ({ garden }, provide) => provide(garden.url),
  page: async ({ page, garden, as }, provide) => {
    if (as !== null) await enter(page, garden.url, as);
    await provide(page);
  },
});

/** Signed in by a session that is in the template already: most journeys begin signed in. */
async function enter(page: Page, url: string, signInName: string) {
  const cookies = JSON.parse(process.env.SEED_ROUND_TEST_COOKIES!) as Record<string, string>;
  await page
    .context()
    .addCookies([{ name: "seed_round", value: cookies[signInName]!, url, httpOnly: true, sameSite: "Lax" }]);
}

/** By the sign-in page, as anybody else. */
export async function signIn(page: Page, name: string) {
  await page.goto("/sign-in");
  await ready(page);
  await page.getByLabel("Sign-in name").fill(name);
  await page.getByLabel("Password").fill(passwordOf(name));
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.waitForURL(/\/round/u);
}

/** Calls commands as one who is signed in. */
export const callerIn = (garden: Garden, name: string) => caller(garden.url, name, passwordOf(name));

export { expect };

async function administer(...statements: readonly string[]) {
  const client = new pg.Client({ connectionString: SERVER() });
  await client.connect();
  // Copying a template wants it to itself; journeys that start together wait for one another.
  await client.query("select pg_advisory_lock(4711)");
  try {
    for (const sql of statements) await client.query(sql);
  } finally {
    await client.end();
  }
}

/** Lets go of what is dragged, and waits until clicks count again: the one that ends a drag is not to press anything. */
export async function putDown(page: Page) {
  await page.mouse.up();
  await page.evaluate(() => new Promise((done) => setTimeout(done, 60)));
}

/** Waits until the page is ready for input: its forms are alive, and signed in it hears of changes. */
export async function ready(page: Page) {
  const isAccess = /^\/(sign-in|join|reset|start|garden|answers)\b/u.test(
    new URL(page.url()).pathname.replace(/^\/people.*/u, ""),
  );
  await page.locator(isAccess ? "html[data-alive=on]" : "html[data-live=on]").waitFor({ state: "attached" });
}
