import { may, whoMay, type Right } from "@/core/people/rights";
import { databaseAway } from "../db/errors";
import type { Db } from "../db/pool";
import { log } from "./log";
import { onBehalf } from "./onBehalf";
import { maybeSession, type Session } from "./session";

/** What is wrong with an address; answered with 400. */
export class AskedWrongly extends Error {}

/**
 * Makes a route handler that reads for the one who asks: signed in and with the right, or refused in plain words. The
 * only way to write one for a garden, but for work that takes its time.
 */
export function route(
  right: Right,
  work: (asked: { readonly request: Request; readonly db: Db; readonly who: Session }) => Promise<Response>,
): (request: Request) => Promise<Response> {
  return longRoute(right, ({ request, who }) => onBehalf(who, (db) => work({ request, db, who }), { readOnly: true }));
}

/**
 * Makes a route handler for work that takes its time: whoever asks must be signed in and have the right, and no transaction
 * is held meanwhile. What it reads and writes, it does through `onBehalf` itself.
 */
export function longRoute(
  right: Right,
  work: (asked: { readonly request: Request; readonly who: Session }) => Promise<Response>,
): (request: Request) => Promise<Response> {
  return async (request) => {
    try {
      const who = await maybeSession();
      if (!who) return plain(401, "Sign in first.");
      if (!may(who.role, right)) return plain(403, `As a ${who.role} you may not do this; ${whoMay(right)} may.`);
      return await work({ request, who });
    } catch (error) {
      if (error instanceof AskedWrongly) return plain(400, error.message);
      log.error({ error, path: new URL(request.url).pathname }, "a route failed");
      return plain(503, databaseAway(error) ? "The database does not answer; try again in a moment." : "This failed.");
    }
  };
}

function plain(status: number, words: string): Response {
  return new Response(`${words}\n`, { status, headers: { "content-type": "text/plain; charset=utf-8" } });
}
