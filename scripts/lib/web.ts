import { createHash, randomUUID } from "node:crypto";
import { execFile, spawn, type ChildProcess } from "node:child_process";
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { promisify } from "node:util";
import { freePort } from "./cluster";
import { plainWords } from "./plainWords.mjs";
import { takenWords } from "./ports";
import { whileItAdvances, workDone } from "./progress";
import { step } from "./step.mjs";
import { ended, supervise } from "./supervise";

const ROOT = join(import.meta.dirname, "..", "..");
const NEXT = join(ROOT, "node_modules", "next", "dist", "bin", "next");
const SERVE = join(ROOT, "scripts", "serve.ts");
const BUILT_FROM = ["src", "public", "package-lock.json", "next.config.ts", "postcss.config.mjs", "tsconfig.json"];
/** Room for what lives as long as a request, so that a page is not collected while it is made; and code that was seen once runs compiled. */
const NODE_FLAGS = ["--max-semi-space-size=64", "--always-sparkplug"];
/** As scripts/serve.ts ends when the port is another's. */
const PORT_TAKEN = 98;

/** Builds the application unless the last build was made from the same files. */
export async function buildIfStale(): Promise<void> {
  const hash = sourceHash();
  // Tests and measurements build into a folder of their own, named while they run.
  const stamp = join(ROOT, process.env.SEED_ROUND_DIST ?? ".next", "built-from");
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === hash) return;
  await step("Building the application", "1 to 2 minutes", async () => {
    try {
      await promisify(execFile)(process.execPath, [NEXT, "build"], {
        cwd: ROOT,
        maxBuffer: 1e8,
        env: { ...process.env, NODE_ENV: "production", NEXT_TELEMETRY_DISABLED: "1" },
      });
    } catch (error) {
      const { stdout = "", stderr = "" } = error as { stdout?: string; stderr?: string };
      const known = plainWords(new Error(stdout + stderr), ROOT);
      throw new Error(known === stdout + stderr ? `The build failed:\n${known}` : known, { cause: error });
    }
  });
  writeFileSync(stamp, hash);
}

export interface WebServer {
  readonly url: string;
  /** The process that watches over the workers, now. */
  readonly pid: number;
  stop(): Promise<void>;
}

export interface WebEnvironment extends Readonly<Record<string, string>> {
  /** Of the role that row-level security binds. */
  readonly DATABASE_URL: string;
  /** Seals the cookies. */
  readonly SEED_ROUND_SECRET: string;
}

export interface ServeOptions {
  /** A free one unless given. */
  readonly port?: number;
  /** Starts it again when it ends by itself. */
  readonly supervised?: boolean;
  /** Gets every line that it writes. */
  readonly onLine?: (line: string) => void;
}

/**
 * Serves the built application on loopback, and comes back when it answers: it itself, not another program on its port.
 * @throws Error in words when it cannot
 */
export async function serve(environment: WebEnvironment, options: ServeOptions = {}): Promise<WebServer> {
  const port = options.port ?? (await freePort());
  const instance = randomUUID();
  let errors = "";
  const start = (): ChildProcess => {
    const server = spawn(
      "setpriv",
      ["--pdeathsig", "TERM", "--", process.execPath, ...NODE_FLAGS, "--import", "tsx", SERVE, `--port=${port}`],
      {
        cwd: ROOT,
        detached: true,
        stdio: ["ignore", "ignore", "pipe"],
        env: {
          ...process.env,
          ...environment,
          PORT: String(port),
          SEED_ROUND_INSTANCE: instance,
          NODE_ENV: "production",
          NEXT_TELEMETRY_DISABLED: "1",
        },
      },
    );
    server.stderr!.on("data", (chunk: Buffer) => {
      errors = (errors + chunk.toString()).slice(-4000);
      options.onLine?.(chunk.toString());
      if (process.env.SEED_ROUND_VERBOSE) process.stderr.write(chunk);
    });
    return server;
  };
  const url = `http://127.0.0.1:${port}`;
  const server = start();
  const isThere = await whileItAdvances({
    ready: () => answersAs(url, instance),
    gone: () => server.exitCode !== null || server.signalCode !== null,
    progress: () => workDone(server.pid!),
  });
  if (!isThere) {
    const code = server.exitCode;
    await ended(server, "SIGTERM");
    throw new Error(
      code === PORT_TAKEN ? takenWords(port) : `The application did not start:\n${plainWords(new Error(errors))}`,
    );
  }
  const say = (code: number | null, pauseMs: number) =>
    options.onLine?.(
      `${JSON.stringify({ level: 50, time: new Date().toISOString(), code, pauseMs, msg: "the web server ended and is started again" })}\n`,
    );
  const supervised = options.supervised ? supervise(server, start, say) : null;
  return {
    url,
    get pid() {
      return (supervised?.process ?? server).pid!;
    },
    stop: () => (supervised ? supervised.stop("SIGTERM") : ended(server, "SIGTERM")),
  };
}

/** Whether the page that answers is the one that was started. */
async function answersAs(url: string, instance: string): Promise<boolean> {
  try {
    const answer = await fetch(`${url}/healthz`, { signal: AbortSignal.timeout(5000) });
    return ((await answer.json()) as { instance?: string }).instance === instance;
  } catch {
    return false;
  }
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
