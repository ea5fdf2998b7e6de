// The one entry of all commands. Plain JavaScript without dependencies: it has to work on a machine that has Node 20 and
// Debian and nothing else, and brings in what is missing before it hands over to the script proper.
import { createHash } from "node:crypto";
import { execFileSync, spawn, spawnSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";

const ROOT = join(dirname(fileURLToPath(import.meta.url)), "..");
const SCRIPTS = {
  start: ["start.ts"],
  demo: ["start.ts", "--demo"],
  backup: ["backup.ts"],
  restore: ["backup.ts", "--restore"],
  test: ["test.ts"],
  bench: ["bench.ts"],
  load: ["load.ts"],
  screenshots: ["screenshots.ts"],
};
const NEEDS_BROWSER = new Set(["test", "bench", "screenshots"]);

const [command, ...rest] = process.argv.slice(2);
if (!(command in SCRIPTS)) fail(`Say which: ${Object.keys(SCRIPTS).join(", ")}.`);
if (Number(process.versions.node.split(".")[0]) < 20) fail(`This needs Node 20 or newer; here is ${process.version}.`);
process.chdir(ROOT);
installPackages();
if (!(["start", "demo"].includes(command) && process.env.DATABASE_URL) && !hasPostgres()) installDebian(["postgresql"]);
if (NEEDS_BROWSER.has(command) && !hasProgram("chromium")) installDebian(["chromium"]);

const [script, ...words] = SCRIPTS[command];
const child = spawn(process.execPath, ["--import", "tsx", join("scripts", script), ...words, ...rest], {
  stdio: "inherit",
});
for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"])
  process.on(signal, () => child.kill(signal === "SIGHUP" ? "SIGTERM" : signal));
// npm may be ended without passing the signal on; nothing may be left running then.
const parent = process.ppid;
setInterval(() => process.ppid !== parent && child.kill("SIGTERM"), 500).unref();
child.on("exit", (code, signal) => process.exit(signal ? 1 : (code ?? 1)));

function installPackages() {
  const hash = createHash("sha256").update(readFileSync("package-lock.json")).digest("hex");
  const stamp = join("node_modules", ".lock-hash");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === hash) return;
  console.log("Installing npm packages from the lock file …");
  const installed = spawnSync("npm", ["ci", "--no-audit", "--no-fund"], {
    stdio: ["ignore", "ignore", "inherit"],
  });
  if (installed.status !== 0) fail("npm could not install the packages: is the npm registry in reach?");
  writeFileSync(stamp, hash);
}

function hasPostgres() {
  const home = "/usr/lib/postgresql";
  return existsSync(home) && readdirSync(home).some((version) => existsSync(join(home, version, "bin", "initdb")));
}

function hasProgram(name) {
  return spawnSync("which", [name], { stdio: "ignore" }).status === 0;
}

function installDebian(packages) {
  const isRoot = process.getuid?.() === 0;
  if (!hasProgram("apt-get"))
    fail(
      `${packages.join(" and ")} is missing and this is not Debian: install it, or set DATABASE_URL to a PostgreSQL of your own.`,
    );
  if (!isRoot && !hasProgram("sudo"))
    fail(
      `${packages.join(" and ")} is missing. Run this as root or as a user who may use sudo, or install it by hand: apt-get install ${packages.join(" ")}`,
    );
  console.log(`Installing Debian's ${packages.join(", ")} …`);
  const as = (...words) => (isRoot ? words : ["sudo", ...words]);
  const run = (...words) => {
    const [program, ...args] = as(...words);
    execFileSync(program, args, {
      stdio: ["inherit", "ignore", "inherit"],
      env: { ...process.env, DEBIAN_FRONTEND: "noninteractive" },
    });
  };
  try {
    keepSystemClusterAway(as);
    run("apt-get", "update", "-qq");
    run(
      "apt-get",
      "install",
      "-y",
      "-qq",
      "--no-install-recommends",
      "-o",
      "Dpkg::Options::=--force-confold",
      ...packages,
    );
  } catch {
    fail(`Debian's ${packages.join(", ")} could not be installed: no network, or no right to.`);
  }
}

// The package would start a cluster of its own on the usual port; ours is private and that one is not needed.
function keepSystemClusterAway(as) {
  const file = "/etc/postgresql-common/createcluster.conf";
  if (existsSync(file) || hasPostgres()) return;
  if (process.getuid?.() === 0) {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, "create_main_cluster = false\n");
  } else {
    const [program, ...args] = as(
      "sh",
      "-c",
      `mkdir -p ${dirname(file)} && echo 'create_main_cluster = false' > ${file}`,
    );
    execFileSync(program, args, { stdio: "inherit" });
  }
}

function fail(message) {
  console.error(message);
  process.exit(1);
}
