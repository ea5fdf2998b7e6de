import { randomUUID } from "node:crypto";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { DEMO_PASSWORD } from "../../demo/people";
import type { ActionResult } from "../../src/server/session/result";

/** Calls actions of the built application over HTTP, as a browser does. */
export interface Caller {
  readonly cookie: string;
  call<Value>(action: string, input: unknown, options?: CallOptions): Promise<ActionResult<Value>>;
  /** @param at another address of the same garden, after it was restarted */
  get(path: string, at?: string): Promise<Response>;
}

export interface CallOptions {
  /** The page that it is called from. */
  readonly path?: string;
  /** The id of the act, as the browser makes one; another one each time unless given. */
  readonly act?: string;
  /** Another address of the same garden, after it was restarted. */
  readonly url?: string;
}

interface Manifest {
  readonly node: Readonly<Record<string, { readonly exportedName?: string; readonly filename?: string }>>;
}

/** A connection that was just being handed to a process that died is never answered: it is given up and asked again. */
const LONGEST_MS = 30_000;

/** The id under which the build knows an action. */
export function actionId(name: string): string {
  const { node } = JSON.parse(
    readFileSync(join(process.env.SEED_ROUND_DIST ?? ".next", "server", "server-reference-manifest.json"), "utf8"),
  ) as Manifest;
  const found = Object.entries(node).find(([, entry]) => entry.exportedName === name);
  if (!found) throw new Error(`The build knows no action "${name}".`);
  return found[0];
}

/** Signs in and keeps the cookie. */
export async function caller(url: string, signInName: string, password = DEMO_PASSWORD): Promise<Caller> {
  let cookie = "";
  const call = async <Value>(
    action: string,
    input: unknown,
    { path = "/round", act = randomUUID(), url: at = url }: CallOptions = {},
  ): Promise<ActionResult<Value>> => {
    const answer = await fetch(at + path, {
      method: "POST",
      headers: {
        "next-action": actionId(action),
        "content-type": "text/plain;charset=UTF-8",
        accept: "text/x-component",
        origin: at,
        cookie,
      },
      body: JSON.stringify([input, act]),
      redirect: "manual",
      signal: AbortSignal.timeout(LONGEST_MS),
    });
    const set = answer.headers.getSetCookie().find((one) => one.startsWith("seed_round="));
    if (set) cookie = set.split(";")[0]!;
    return resultIn<Value>(await answer.text(), answer.status);
  };
  const entered = await call("signIn", { signInName, password }, { path: "/sign-in" });
  if (!entered.ok) throw new Error(entered.reason.kind);
  return {
    cookie,
    call,
    get: (path, at = url) =>
      fetch(at + path, { headers: { cookie }, redirect: "manual", signal: AbortSignal.timeout(LONGEST_MS) }),
  };
}

/** The answer of an action, among the rows that the framework sends. */
export function resultIn<Value>(text: string, status: number): ActionResult<Value> {
  for (const line of text.split("\n")) {
    const row = /^\w+:(\{.*\})$/u.exec(line)?.[1];
    if (row?.includes('"ok":')) return JSON.parse(row) as ActionResult<Value>;
  }
  throw new Error(`No answer from the action: HTTP ${status} ${text.slice(0, 200)}`);
}
