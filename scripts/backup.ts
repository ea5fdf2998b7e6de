import { existsSync } from "node:fs";
import { join, resolve } from "node:path";
import { appUrl } from "./lib/appRole";
import { backUp, restore } from "./lib/backup";
import { dataFolder } from "./lib/data";
import { keptSecret } from "./lib/writeWhole";
import { migrate } from "./lib/migrate";
import { onOwnerDatabase } from "./lib/ownerDatabase";
import { plainWords } from "./lib/plainWords.mjs";

/**
 * `npm run backup`, `npm run restore -- FILE`; `--demo` for the demo garden. Both work beside a running copy; a restore works
 * on a new machine too, before anything was started there.
 */
const restoring = process.argv.includes("--restore");
const demo = process.argv.includes("--demo") || (!restoring && !existsSync(dataFolder(false)));
const file = process.argv.slice(2).find((word) => !word.startsWith("--"));
const DATA = dataFolder(demo);

main().catch((error: unknown) => {
  console.error(plainWords(error, DATA));
  process.exitCode = 1;
});

async function main() {
  if (!restoring)
    return onOwnerDatabase(demo, async (ownerUrl) =>
      console.log(`Backed up and checked: ${await backUp(ownerUrl, join(DATA, "backups"))}`),
    );
  if (!file) throw new Error("Say which: npm run restore -- data/garden/backups/NAME.dump");
  await onOwnerDatabase(demo, bringBack, { make: true });
}

async function bringBack(ownerUrl: string) {
  const before = await restore(ownerUrl, resolve(file!));
  await migrate(ownerUrl);
  await appUrl(ownerUrl, keptSecret(join(DATA, "app-password")).secret);
  console.log(`Restored.${before ? ` What was there before is kept as the database ${before}.` : ""}`);
}
