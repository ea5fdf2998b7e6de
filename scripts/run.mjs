// The one entry of all commands. Plain JavaScript without dependencies: it has to work on a machine that has Node 20 and
// Debian and nothing else, and brings in what is missing before it hands over to the script proper.
import { createHash } from "node:crypto";
import { execFile, execFileSync, spawn, spawnSync } from "node:child_process";
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statfsSync,
  writeFileSync,
} from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { promisify } from "node:util";
import { closedTo, dataPlace } from "./lib/dataPlace.mjs";
import { plainWords } from "./lib/plainWords.mjs";
import { step } from "./lib/step.mjs";

const ROOT = join(dirname(fileURLToPath(import.meta.url)), "..");
const SCRIPTS = {
  start: ["start.ts"],
  demo: ["start.ts", "--demo"],
  backup: ["backup.ts"],
  restore: ["backup.ts", "--restore"],
  password: ["password.ts"],
  test: ["test.ts"],
  bench: ["bench.ts"],
  load: ["load.ts"],
  fuzz: ["fuzz.ts"],
  durability: ["durability.ts"],
  screenshots: ["screenshots.ts"],
};
const NEEDS_BROWSER = new Set(["test", "bench", "screenshots"]);
/** They use a PostgreSQL of one's own where DATABASE_URL names one. */
const MAY_USE_OTHERS = new Set(["start", "demo", "password"]);
const LEAST_FREE_BYTES = 1_500_000_000;
const LOOK_MS = 500;
const run = promisify(execFile);

const [command, ...rest] = process.argv.slice(2);
if (!(command in SCRIPTS)) fail(`Say which: ${Object.keys(SCRIPTS).join(", ")}.`);
if (Number(process.versions.node.split(".")[0]) < 20) fail(`This needs Node 20 or newer; here is ${process.version}.`);
process.chdir(ROOT);
main().catch((error) => fail(plainWords(error, ROOT)));

async function main() {
  const missing = missingDebian();
  const hash = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
  const stamp = join("node_modules", ".lock-hash");
  const packagesMissing = !existsSync(stamp) || readFileSync(stamp, "utf8") !== hash;
  // All that could stop us later is looked at now: nobody waits for minutes to hear it.
  if (packagesMissing || missing.length > 0) checkRoom(packagesMissing);
  if (missing.length > 0) checkRights(missing);
  printDataFolder();
  if (packagesMissing) {
    await step("Installing the npm packages", "1 to 2 minutes", installPackages);
    writeFileSync(stamp, hash);
  }
  if (missing.length > 0)
    await step(`Installing Debian's ${missing.join(" and ")}`, "1 to 3 minutes", () => installDebian(missing));
  handOver();
}

function missingDebian() {
  const ownDatabase = MAY_USE_OTHERS.has(command) && process.env.DATABASE_URL;
  return [
    ...(!ownDatabase && !hasPostgres() ? ["postgresql"] : []),
    ...(NEEDS_BROWSER.has(command) && !hasProgram("chromium") ? ["chromium"] : []),
  ];
}

function checkRoom(packagesMissing) {
  if (packagesMissing) {
    const folder = existsSync("node_modules") ? join(ROOT, "node_modules") : ROOT;
    try {
      accessSync(folder, constants.W_OK);
    } catch (error) {
      fail(plainWords(Object.assign(error, { path: folder })));
    }
  }
  const { bavail, bsize } = statfsSync(ROOT);
  if (bavail * bsize < LEAST_FREE_BYTES)
    fail(
      `There is ${((bavail * bsize) / 1e9).toFixed(1)} GB free in ${ROOT}; installing and building want ${LEAST_FREE_BYTES / 1e9} GB. Make room first; nothing was installed.`,
    );
}

function checkRights(packages) {
  const words = packages.join(" and ");
  const byHand = `install it by hand: apt-get install ${packages.join(" ")}`;
  if (!hasProgram("apt-get"))
    fail(`${words} is missing and this is not Debian: install it, or set DATABASE_URL to a PostgreSQL of your own.`);
  if (isRoot()) return;
  if (!hasProgram("sudo")) fail(`${words} is missing. Run this as root or as a user who may use sudo, or ${byHand}`);
  // Without a terminal nobody could type the password that sudo may want.
  if (!process.stdin.isTTY && spawnSync("sudo", ["-n", "true"], { stdio: "ignore" }).status !== 0)
    fail(
      `${words} is missing, and sudo wants a password that nobody can type here. Run this once on a terminal, or ${byHand}`,
    );
}

function printDataFolder() {
  if (!["start", "demo"].includes(command)) return;
  const { folder, moved } = dataPlace(command === "demo");
  if (moved)
    console.log(
      `Others may not enter ${closedTo(join(ROOT, "data", "garden"))}, and PostgreSQL runs as another user: the data goes to ${folder}.`,
    );
}

async function installPackages() {
  try {
    await run("npm", ["ci", "--no-audit", "--no-fund"], { maxBuffer: 1e8 });
  } catch (error) {
    const text = `${error.stderr ?? ""}`;
    const known = plainWords(new Error(text));
    fail(
      known === text
        ? `npm could not install the packages: is the npm registry in reach?\n${text.slice(-1500)}`
        : known,
    );
  }
}

async function installDebian(packages) {
  const as = (...words) => (isRoot() ? words : ["sudo", ...words]);
  const env = { ...process.env, DEBIAN_FRONTEND: "noninteractive" };
  const apt = (...words) => {
    const [program, ...args] = as("apt-get", ...words);
    return run(program, args, { env, maxBuffer: 1e8 });
  };
  try {
    keepSystemClusterAway(as);
    await apt("update", "-qq");
    await apt("install", "-y", "-qq", "--no-install-recommends", "-o", "Dpkg::Options::=--force-confold", ...packages);
  } catch (error) {
    const text = `${error.stderr ?? error.message}`;
    const known = plainWords(new Error(text));
    fail(
      known === text
        ? `Debian's ${packages.join(", ")} could not be installed: no network, or no right to.\n${text.slice(-800)}`
        : known,
    );
  }
}

// The package would start a cluster of its own on the usual port; ours is private and that one is not needed.
function keepSystemClusterAway(as) {
  const file = "/etc/postgresql-common/createcluster.conf";
  if (existsSync(file) || hasPostgres()) return;
  if (isRoot()) {
    mkdirSync(dirname(file), { recursive: true });
    return writeFileSync(file, "create_main_cluster = false\n");
  }
  const [program, ...args] = as(
    "sh",
    "-c",
    `mkdir -p ${dirname(file)} && echo 'create_main_cluster = false' > ${file}`,
  );
  execFileSync(program, args, { stdio: "inherit" });
}

function handOver() {
  const [script, ...words] = SCRIPTS[command];
  const child = spawn(process.execPath, ["--import", "tsx", join("scripts", script), ...words, ...rest], {
    stdio: "inherit",
    // Whoever is handed over to ends when we are gone.
    env: { ...process.env, SEED_ROUND_PARENT: String(process.pid) },
  });
  for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"])
    process.on(signal, () => child.kill(signal === "SIGHUP" ? "SIGTERM" : signal));
  // npm, or the shell between it and us, may be ended without passing the signal on; nothing may be left running then.
  const starters = startersOf(process.pid);
  setInterval(
    () => starters.some(({ pid, parent }) => parentOf(pid) !== parent) && child.kill("SIGTERM"),
    LOOK_MS,
  ).unref();
  child.on("exit", (code, signal) => process.exit(signal ? 1 : (code ?? 1)));
}

/** Who started us, up to npm itself: each with its parent, which changes when that one has gone. */
function startersOf(own) {
  const starters = [{ pid: own, parent: parentOf(own) }];
  if (!process.env.npm_lifecycle_event) return starters;
  for (let at = parentOf(own), steps = 0; at > 1 && steps < 3; steps++) {
    if (/^npm\b|[/\\]npm(-cli\.js)?\b/u.test(commandOf(at))) break;
    const parent = parentOf(at);
    starters.push({ pid: at, parent });
    at = parent;
  }
  return starters;
}

function parentOf(pid) {
  try {
    return Number(
      readFileSync(`/proc/${pid}/stat`, "utf8")
        .replace(/^.*\) \S+ /su, "")
        .split(" ")[0],
    );
  } catch {
    return 0;
  }
}

function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, "utf8").replaceAll("\0", " ");
  } catch {
    return "";
  }
}

function hasPostgres() {
  const home = "/usr/lib/postgresql";
  return existsSync(home) && readdirSync(home).some((version) => existsSync(join(home, version, "bin", "initdb")));
}

function hasProgram(name) {
  return spawnSync("which", [name], { stdio: "ignore" }).status === 0;
}

function isRoot() {
  return process.getuid?.() === 0;
}

function fail(message) {
  console.error(message);
  process.exit(1);
}
