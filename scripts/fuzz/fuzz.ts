import fc from "fast-check";
import { METRIC } from "../../src/core/units/dimensions";
import { refusalWords } from "../../src/features/frame/refusalWords";
import type { ActionResult } from "../../src/server/session/result";
import { SAMPLES, type Rows } from "../../tests/database/samples";
import { actionId, caller, resultIn } from "../lib/calls";
import { SHEETS } from "../lib/sheets";
import { MB } from "./bodies";
import { nonsense, type Command } from "./nonsense";
import { send, type Answer, type Call } from "./send";

export interface FuzzOptions {
  readonly url: string;
  /** Asks the database as its owner: for inputs that are taken, and to mend what a call did to its own account. */
  readonly rows: Rows;
  readonly calls: number;
  readonly seed: number;
}

/** What was found: each with what was sent and what came back. */
export interface FuzzReport {
  readonly calls: number;
  readonly pagesOpened: number;
  readonly statuses: Readonly<Record<string, number>>;
  readonly faults: readonly string[];
}

const OPEN_PAGES_EACH = 500;
/** Commands that may end the session, or shut its person out. */
const CHANGES_THE_ACCOUNT = /signOut|end|password|garden|role|member|factor/iu;
/** Words that no person should read: what was not worked out, what is the database's, what is the program's. */
const UNFIT =
  /\[object \w+\]|\bundefined\b|\bNaN\b|syntax error at|failed custom|Cannot read|is not a function|_check\b|_fkey\b|violates|\bat \w+ \(.*:\d+:\d+\)/u;

/**
 * Sends nonsense over HTTP, all of it the same from the same seed, and looks at every answer: never a 5xx, never a word that
 * no person should read. Now and then, and at the end, every page of the garden is opened.
 */
export async function fuzz({ url, rows, calls, seed }: FuzzOptions): Promise<FuzzReport> {
  const commands = await samples(rows);
  const names = new Map(commands.map(({ name }) => [actionId(name), name]));
  const faults: string[] = [];
  const statuses: Record<string, number> = {};
  let pagesOpened = 0;
  let cookie = await signedIn(url, rows);
  for (const [index, make] of fc.sample(nonsense(commands, url), { numRuns: calls, seed }).entries()) {
    const call = make(cookie);
    const name = call.kind === "http" && call.sent.command ? names.get(call.sent.headers["next-action"]!) : undefined;
    const answer = await send(url, call);
    const result = name === undefined ? null : maybeResult(answer);
    const status = result ? `command ${result.ok ? 200 : result.status}` : String(answer.status);
    statuses[status] = (statuses[status] ?? 0) + 1;
    const problem = problemIn(call, answer, result);
    if (problem) faults.push(`${index}: ${describe(call, name)} → ${problem}`);
    const isTime = (index + 1) % OPEN_PAGES_EACH === 0 || index + 1 === calls;
    if (isTime || /401$/u.test(status) || CHANGES_THE_ACCOUNT.test(name ?? "")) cookie = await signedIn(url, rows);
    if (!isTime) continue;
    for (const path of SHEETS) {
      const page = await send(url, { kind: "http", sent: { method: "GET", path, headers: { cookie }, body: "" } });
      pagesOpened += 1;
      if (page.status !== 200)
        faults.push(`after ${index + 1} calls ${path} → ${page.status} ${page.text.slice(0, 200)}`);
    }
  }
  return { calls, pagesOpened, statuses, faults };
}

/** The keeper of the demo garden, a member and signed in again, whatever the calls did to the account. */
async function signedIn(url: string, rows: Rows): Promise<string> {
  await rows("delete from attempt");
  await rows("delete from second_factor");
  await rows(
    `update account set password_hash = other.password_hash from account other
      where account.sign_in_name = 'ines' and other.sign_in_name = 'school'`,
  );
  await rows("update person set role = 'keeper', left_at = null where name = 'Ines Varela'");
  const { cookie, call } = await caller(url, "ines");
  const [home] = await rows<{ id: number }>("select id from garden where is_demo");
  if (home) await call("switchGarden", { gardenId: home.id });
  return cookie;
}

/** What each command takes. Few want a season of the request's own; they are called with what they do not take alone. */
async function samples(rows: Rows): Promise<Command[]> {
  const found: Command[] = [];
  for (const [name, sample] of Object.values(SAMPLES).flatMap((actions) => Object.entries(actions)))
    if (isKnown(name)) {
      const instead = { key: "wash:1:2", actual: null, reason: "", note: "" };
      found.push({ name, input: await sample.input(rows).catch(() => instead) });
    }
  return found;
}

/** Whether the build has an action: one that no page calls is left out of it. */
function isKnown(name: string): boolean {
  try {
    return actionId(name) !== "";
  } catch {
    return false;
  }
}

function maybeResult({ text, status }: Answer): ActionResult<unknown> | null {
  try {
    return status === 200 ? resultIn(text, status) : null;
  } catch {
    return null;
  }
}

function problemIn(call: Call, answer: Answer, result: ActionResult<unknown> | null): string | null {
  // A connection that ends without an answer is one for what is no HTTP, and for what goes on sending after a 413.
  if (answer.status === 0 && call.kind === "http" && Buffer.byteLength(call.sent.body) < 2 * MB)
    return `no answer: ${answer.text}`;
  if (answer.status >= 500) return `${answer.status} ${answer.text.slice(0, 300)}`;
  if (result && !result.ok && result.status >= 500) return `command ${result.status} ${result.reason.kind}`;
  const words = wordsOf(answer, result);
  return UNFIT.test(words) ? `unfit words: ${words.slice(0, 300)}` : null;
}

/** What of an answer a person would read. */
function wordsOf(answer: Answer, result: ActionResult<unknown> | null): string {
  if (!result) return answer.type.startsWith("text/plain") ? answer.text : "";
  return result.ok ? "" : [refusalWords(result.reason, METRIC), ...Object.values(result.fields ?? {})].join("\n");
}

function describe(call: Call, name = ""): string {
  if (call.kind === "socket") return `socket ${JSON.stringify(call.bytes.toString("latin1").slice(0, 200))}`;
  const { method, path, body } = call.sent;
  return `${method} ${path.slice(0, 200)} ${name} ${JSON.stringify(String(body).slice(0, 400))}`;
}
