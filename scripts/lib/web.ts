import { createHash } from "node:crypto";
import { execFileSync, spawn } from "node:child_process";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { freePort, pause } from "./cluster";

const ROOT = join(import.meta.dirname, "..", "..");
const NEXT = join(ROOT, "node_modules", "next", "dist", "bin", "next");
const SERVE = join(ROOT, "scripts", "serve.ts");
const BUILT_FROM = ["src", "public", "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"];
const START_TIMEOUT_MS = 30_000;

/** Builds the application unless the last build was made from the same files. */
export function buildIfStale(): void {
  const hash = sourceHash();
  // Tests and measurements build into a folder of their own, named while they run.
  const stamp = join(ROOT, process.env.SEED_ROUND_DIST ?? ".next", "built-from");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === hash) return;
  console.log("Building the application …");
  try {
    execFileSync(process.execPath, [NEXT, "build"], {
      cwd: ROOT,
      stdio: ["ignore", "pipe", "pipe"],
      env: { ...process.env, NODE_ENV: "production", NEXT_TELEMETRY_DISABLED: "1" },
    });
  } catch (error) {
    const { stdout, stderr } = error as { stdout?: Buffer; stderr?: Buffer };
    throw new Error(`The build failed:\n${stdout?.toString() ?? ""}${stderr?.toString() ?? ""}`);
  }
  writeFileSync(stamp, hash);
}

export interface WebServer {
  readonly url: string;
  readonly pid: number;
  stop(): Promise<void>;
}

export interface WebEnvironment extends Readonly<Record<string, string>> {
  /** Of the role that cannot see over the walls between gardens. */
  readonly DATABASE_URL: string;
  /** Seals the cookies. */
  readonly SEED_ROUND_SECRET: string;
}

/** Serves the built application on loopback. @param port a free one unless given */
export async function serve(environment: WebEnvironment, wantedPort?: number): Promise<WebServer> {
  const port = wantedPort ?? (await freePort());
  const server = spawn(
    "setpriv",
    ["--pdeathsig", "TERM", "--", process.execPath, "--import", "tsx", SERVE, `--port=${port}`],
    { cwd: ROOT, detached: true, stdio: ["ignore", "ignore", "pipe"], env: { ...process.env, ...environment, PORT: String(port), NODE_ENV: "production", NEXT_TELEMETRY_DISABLED: "1" } },
  ); // prettier-ignore
  let errors = "";
  server.stderr.on("data", (chunk: Buffer) => {
    errors = (errors + chunk.toString()).slice(-4000);
    if (process.env.SEED_ROUND_VERBOSE) process.stderr.write(chunk);
  });
  const url = `http://127.0.0.1:${port}`;
  const end = Date.now() + START_TIMEOUT_MS;
  for (;;) {
    if (server.exitCode !== null) throw new Error(`The application did not start:\n${errors}`);
    const answered = await fetch(`${url}/healthz`).then(
      (response) => response.status < 500,
      () => false,
    );
    if (answered) break;
    if (Date.now() > end) throw new Error(`The application did not answer within 30 s:\n${errors}`);
    await pause(50);
  }
  return {
    url,
    pid: server.pid!,
    async stop() {
      if (server.exitCode !== null || server.signalCode !== null) return;
      const ended = new Promise((resolve) => server.once("exit", resolve));
      server.kill("SIGTERM");
      await ended;
    },
  };
}

function sourceHash(): string {
  const hash = createHash("sha256");
  for (const path of BUILT_FROM) addTo(hash, join(ROOT, path));
  return hash.digest("hex");
}

function addTo(hash: ReturnType<typeof createHash>, path: string) {
  if (!existsSync(path)) return;
  if (statSync(path).isDirectory()) for (const name of readdirSync(path).sort()) addTo(hash, join(path, name));
  else if (!/\.test\.tsx?$/u.test(path)) hash.update(path.slice(ROOT.length)).update(readFileSync(path));
}
