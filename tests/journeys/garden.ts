import { test as base, expect, type Page } from "@playwright/test";
import pg from "pg";
import { DEMO_PASSWORD } from "../../demo/people";
import { caller } from "../../scripts/lib/calls";
import { serve, type WebServer } from "../../scripts/lib/web";

/** A running copy of the application on a database of its own. */
export interface Garden {
  readonly url: string;
  /** The database as its owner sees it. */
  readonly ownerUrl: string;
  readonly web: WebServer;
  /** Asks the database, for what the screen does not say. */
  rows<Row extends pg.QueryResultRow>(sql: string, values?: unknown[]): Promise<Row[]>;
}

interface Options {
  /** Which database the garden is a copy of. */
  readonly template: "demo_template" | "bare_template" | "empty_template";
  /** Who is signed in when a journey begins; null: nobody. */
  readonly as: string | null;
}

/** Journeys run against the built application, real PostgreSQL and a garden that nobody else touches. */
export const test = base.extend<Options & { garden: Garden }>({
  template: ["demo_template", { option: true }],
  as: ["ines", { option: true }],
  garden: async ({ template }, provide, info) => {
    const server = process.env.SEED_ROUND_TEST_URL!;
    const name = `journey_${info.workerIndex}_${info.testId.replaceAll(/\W/gu, "").slice(-12).toLowerCase()}_${info.retry}`;
    await administer(server, `create database ${name} template ${template}`);
    const databaseUrl = server.replace(/\/postgres$/u, `/${name}`);
    const pool = new pg.Pool({ connectionString: databaseUrl, max: 2 });
    let web: WebServer | undefined;
    try {
      web = await serve({
        DATABASE_URL: process.env.SEED_ROUND_TEST_APP_URL!.replace(/\/postgres$/u, `/${name}`),
        SEED_ROUND_SECRET: process.env.SEED_ROUND_SECRET!,
      });
      const rows: Garden["rows"] = async (sql, values) => (await pool.query(sql, values)).rows;
      await provide({ url: web.url, ownerUrl: databaseUrl, web, rows });
    } finally {
      await web?.stop();
      await pool.end();
      await administer(server, `drop database if exists ${name} with (force)`);
    }
  },
  baseURL: async ({ garden }, provide) => provide(garden.url),
  page: async ({ page, garden, as }, provide) => {
    if (as !== null) await enter(page, garden.url, as);
    await provide(page);
  },
});

const passwordOf = (name: string) => (name === "keeper" ? "a word for tests" : DEMO_PASSWORD);

/** Signed in by the same action as through the door, without drawing the door: most journeys begin behind it. */
async function enter(page: Page, url: string, signInName: string) {
  const { cookie } = await caller(url, signInName, passwordOf(signInName));
  const [name, value] = cookie.split("=") as [string, string];
  await page.context().addCookies([{ name, value, url, httpOnly: true, sameSite: "Lax" }]);
}

/** Through the door, as anybody else. */
export async function signIn(page: Page, name: string) {
  await page.goto("/sign-in");
  await ready(page);
  await page.getByLabel("Sign-in name").fill(name);
  await page.getByLabel("Password").fill(passwordOf(name));
  await page.getByRole("button", { name: "Sign in" }).click();
  await page.waitForURL(/\/round/u);
}

export { expect };

async function administer(url: string, sql: string) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  // Copying a template wants it to itself; journeys that start together wait for one another.
  await client.query("select pg_advisory_lock(4711)");
  try {
    await client.query(sql);
  } finally {
    await client.end();
  }
}

/** Waits until the page answers to the hand: its forms are alive, and it hears of changes. */
export async function ready(page: Page) {
  if (/\/(sign-in|join|reset|start)\b/u.test(page.url())) return page.waitForLoadState("networkidle");
  await page.locator("html[data-live=on]").waitFor({ state: "attached" });
}
