import { randomBytes } from "node:crypto";
import { createInterface } from "node:readline/promises";
import { Writable } from "node:stream";
import { hash } from "@node-rs/argon2";
import pg from "pg";
import { LEAST_PASSWORD } from "../src/core/people/password";
import { onOwnerDatabase } from "./lib/ownerDatabase";
import { plainWords } from "./lib/plainWords.mjs";

/**
 * `npm run password -- NAME`: a new password for an account, from whoever runs the machine, so that a lone keeper who forgot
 * theirs is not locked out. `--no-factor` switches the second factor off too; `--demo` means the demo garden. Without a
 * terminal the password is the first line of what comes in; an empty one has a password made.
 */
const words = process.argv.slice(2);
const demo = words.includes("--demo");
const noFactor = words.includes("--no-factor");
const name = words
  .find((word) => !word.startsWith("--"))
  ?.trim()
  .toLowerCase();

main().catch((error: unknown) => {
  console.error(plainWords(error));
  process.exitCode = 1;
});

async function main() {
  if (!name) throw new Error("Say whose: npm run password -- NAME, the sign-in name.");
  await onOwnerDatabase(demo, async (ownerUrl) => {
    const client = new pg.Client({ connectionString: ownerUrl });
    await client.connect();
    try {
      const { rows } = await client.query<{ id: number }>("select id from account where sign_in_name = $1", [name]);
      if (!rows[0]) throw new Error(await nobodyWords(client));
      await setPassword(client, rows[0].id);
    } finally {
      await client.end();
    }
  });
}

async function setPassword(client: pg.Client, accountId: number) {
  const typed = await ask();
  const password = typed || randomBytes(12).toString("base64url");
  if (password.length < LEAST_PASSWORD)
    throw new Error(`The password is shorter than ${LEAST_PASSWORD} characters; nothing was changed.`);
  const note = (kind: string) =>
    client.query("insert into access_event (account_id, kind) values ($1, $2)", [accountId, kind]);
  await client.query("begin");
  await client.query("update account set password_hash = $2, links_void_at = now() where id = $1", [
    accountId,
    await hash(password),
  ]);
  await client.query("delete from session where account_id = $1", [accountId]);
  await note("password-by-machine");
  if (noFactor) {
    const { rowCount } = await client.query("delete from second_factor where account_id = $1", [accountId]);
    await client.query("delete from recovery_code where account_id = $1", [accountId]);
    if (rowCount) await note("factor-off-by-machine");
  }
  await client.query("commit");
  console.log(
    `Set. ${name} is signed out everywhere and signs in with ${typed ? "the new password" : `the password ${password}`}.`,
  );
}

async function nobodyWords(client: pg.Client): Promise<string> {
  const { rows } = await client.query<{ name: string }>(
    "select sign_in_name as name from account order by id limit 20",
  );
  return `Nobody signs in as "${name}". ${rows.length > 0 ? `Here are: ${rows.map((row) => row.name).join(", ")}.` : "There is no account yet."}`;
}

/** The new password, typed without being shown. */
async function ask(): Promise<string> {
  const terminal = process.stdin.isTTY === true;
  const silent = new Writable({ write: (_chunk, _encoding, done) => done() });
  const lines = createInterface({ input: process.stdin, output: silent, terminal });
  if (terminal) process.stdout.write(`New password for ${name} (nothing typed: one is made): `);
  try {
    return (await lines.question("")).trim();
  } finally {
    lines.close();
    if (terminal) process.stdout.write("\n");
  }
}
