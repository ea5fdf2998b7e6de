import { migrate } from "./lib/migrate";

/** Brings the database of DATABASE_URL up to the newest migration; `npm run demo` does it by itself. */
const databaseUrl = process.env.DATABASE_URL;
if (!databaseUrl) {
  console.error("Set DATABASE_URL to the database to bring up to date.");
  process.exit(1);
}
migrate(databaseUrl).then(
  () => console.log("The database is up to date."),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
