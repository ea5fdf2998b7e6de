import { may, whoMay, type Right } from "@/core/people/rights";
import { databaseDown } from "../db/errors";
import type { Db } from "../db/pool";
import { log } from "./log";
import { RefusedError } from "./refusal";
import { onBehalf } from "./onBehalf";
import { maybeSession, type Session } from "./session";

/** What is wrong with an address; answered with 400. */
export class BadRequestError extends Error {}

/**
 * Makes a route handler that reads for the one who asks: signed in and with the right, or refused in plain words. The
 * only way to write one for a garden.
 */
export function route(
  right: Right,
  work: (asked: { readonly request: Request; readonly db: Db; readonly who: Session }) => Promise<Response>,
): (request: Request) => Promise<Response> {
  return async (request) => {
    try {
      const who = await maybeSession();
      if (!who) return plain(401, "Sign in first.");
      if (!may(who.role, right)) return plain(403, `As a ${who.role} you may not do this; ${whoMay(right)} may.`);
      return await onBehalf(who, (db) => work({ request, db, who }), { readOnly: true });
    } catch (error) {
      if (error instanceof BadRequestError) return plain(400, error.message);
      if (error instanceof RefusedError) return plain(error.status, "This is no longer there.");
      log.error({ error, path: new URL(request.url).pathname }, "a route failed");
      return plain(503, databaseDown(error) ? "The database does not answer; try again in a moment." : "This failed.");
    }
  };
}

function plain(status: number, words: string): Response {
  return new Response(`${words}\n`, { status, headers: { "content-type": "text/plain; charset=utf-8" } });
}
