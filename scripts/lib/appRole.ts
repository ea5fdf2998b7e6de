import pg from "pg";

/** What the application may do with the tables: read and write, but not rewrite the history or the log. */
const GRANTS = (role: string) => `
  grant usage on schema public to ${role};
  grant select, insert, update, delete on all tables in schema public to ${role};
  grant usage on all sequences in schema public to ${role};
  revoke update, delete on change, access_event from ${role};
  revoke delete on log_entry from ${role};
  revoke insert, update, delete on installation, backup_run from ${role};
  revoke insert, update, delete on migration from ${role};`;

/**
 * Gives the address under which the application connects: a role that row-level security binds. An owner that security
 * binds already, because it is no superuser and row-level security is forced, is used itself; otherwise a role is made for it.
 *
 * @param password kept by the caller; set again on each start
 */
export async function appUrl(ownerUrl: string, password: string): Promise<string> {
  const url = new URL(ownerUrl);
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    const owner = await client.query<{ free: boolean; makes: boolean }>(
      `select rolsuper or rolbypassrls as free, rolsuper or rolcreaterole as makes from pg_roles where rolname = current_user`,
    );
    const { free, makes } = owner.rows[0]!;
    if (!free) return ownerUrl;
    if (!makes)
      throw new Error(
        "The role of DATABASE_URL bypasses row-level security, which keeps gardens apart, and may not create a role that does not. Give it CREATEROLE, or use a role without BYPASSRLS.",
      );
    const name = roleName(url.pathname.slice(1));
    const role = pg.escapeIdentifier(name);
    // Starts beside one another would change the same row.
    await client.query("select pg_advisory_lock(4712)");
    const found = await client.query("select 1 from pg_roles where rolname = $1", [name]);
    await client.query(
      `${found.rowCount ? "alter" : "create"} role ${role} login nosuperuser nobypassrls password ${pg.escapeLiteral(password)}`,
    );
    await client.query(GRANTS(role));
    url.username = name;
    url.password = password;
    return url.toString();
  } finally {
    await client.end();
  }
}

/** One for each database; copies of a template for tests share theirs. */
function roleName(database: string): string {
  return process.env.SEED_ROUND_ROLE ?? `${database}_app`;
}
