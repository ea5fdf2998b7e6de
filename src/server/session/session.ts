import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import type { Role } from "@/core/people/rights";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { Day } from "@/core/units/day";
import { maybeOne, many, pool, type Db } from "../db/pool";
import { today } from "./clock";
import { sessionCookie } from "./cookie";
import { onBehalf } from "./onBehalf";
import { tokenHash } from "./token";

/** Who asks, for which garden, and on what day. Every query and command gets its garden from here. */
export interface Session {
  readonly sessionId: number;
  readonly accountId: number;
  readonly gardenId: number;
  readonly gardenName: string;
  readonly isDemo: boolean;
  readonly personId: number;
  readonly personName: string;
  readonly role: Role;
  readonly units: UnitPreferences;
  readonly today: Day;
  readonly timeZone: string;
  readonly latitudeDeg: number;
  readonly sowWeekdays: readonly number[];
}

export class SignedOutError extends Error {
  constructor() {
    super("You are signed out. Sign in again in another tab: what you typed stays here.");
  }
}

/** An account's session as its cookie names it, whichever garden it looks at. */
export interface Door {
  readonly sessionId: number;
  readonly accountId: number;
  readonly presentGarden: number | null;
  readonly stale: boolean;
}

interface SessionRow {
  gardenId: number;
  gardenName: string;
  isDemo: boolean;
  personId: number;
  personName: string;
  role: Role;
  system: UnitPreferences["system"];
  ec: UnitPreferences["ec"];
  temperature: UnitPreferences["temperature"];
  currency: string;
  timeZone: string;
  latitudeDeg: number;
  sowWeekdays: number[];
}

/** How often a session's "last seen" is written down: not at every page. */
const SEEN_MINUTES = 5;

/** The session behind this request's cookie, or null. */
export const door = cache(async (): Promise<Door | null> => {
  const { token } = await sessionCookie();
  if (!token) return null;
  const found = await maybeOne<Door & Record<string, unknown>>(
    pool(),
    `select id as "sessionId", account_id as "accountId", present_garden as "presentGarden",
            last_seen_at < now() - make_interval(mins => $2) as stale
       from session where token_hash = $1 and expires_at > now()`,
    [tokenHash(token), SEEN_MINUTES],
  );
  if (found?.stale) await many(pool(), "update session set last_seen_at = now() where id = $1", [found.sessionId]);
  return found;
});

/** Who asks, or null when nobody is signed in or the account is at home in no garden. */
export const maybeSession = cache(async (): Promise<Session | null> => {
  const entered = await door();
  if (!entered) return null;
  const { sessionId, accountId, presentGarden } = entered;
  const row = await onBehalf({ accountId }, (db) => membership(db, accountId, presentGarden), { readOnly: true });
  if (!row) return null;
  const { system, ec, temperature, currency, ...rest } = row;
  return { sessionId, accountId, ...rest, units: { system, ec, temperature, currency }, today: today(row.timeZone) };
});

/** Who asks. @throws SignedOutError when nobody is signed in */
export async function session(): Promise<Session> {
  const who = await maybeSession();
  if (!who) throw new SignedOutError();
  return who;
}

/** Who asks for a page; whoever is not signed in is sent to the door first. */
export async function pageSession(): Promise<Session> {
  const who = await maybeSession();
  if (who) return who;
  const path = (await headers()).get("x-seed-round-path") ?? "/round";
  redirect(`/sign-in?to=${encodeURIComponent(path)}`);
}

/** The garden that the session looks at, or the first where the account is at home. */
function membership(db: Db, accountId: number, presentGarden: number | null): Promise<SessionRow | null> {
  return maybeOne<SessionRow & Record<string, unknown>>(
    db,
    `select garden.id as "gardenId", garden.name as "gardenName", is_demo as "isDemo",
            person.id as "personId", person.name as "personName", person.role,
            unit_system as system, ec_unit as ec, temperature_unit as temperature, currency,
            time_zone as "timeZone", latitude_deg as "latitudeDeg", sow_weekdays as "sowWeekdays"
       from person join garden on garden.id = person.garden_id
      where person.account_id = $1 and person.left_at is null
      order by garden.id is not distinct from $2 desc, garden.id limit 1`,
    [accountId, presentGarden],
  );
}
