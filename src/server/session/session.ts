import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { cache } from "react";
import type { Role } from "@/core/people/rights";
import type { UnitPreferences } from "@/core/units/dimensions";
import type { Day } from "@/core/units/day";
import { maybeOne, pool } from "../db/pool";
import { today } from "./clock";
import { sessionCookie } from "./cookie";
import { tokenHash } from "./token";

/** Who asks, for which garden, and on what day. Every query and command gets its garden from here. */
export interface Session {
  readonly sessionId: number;
  readonly accountId: number;
  /** When the password was last typed in this session. */
  readonly confirmedAt: Date;
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
  readonly moved: Moved;
  /** The what-if that the page is of; null on the garden as it is. */
  readonly whatIf: number | null;
  /** Gardens that the account is a member of. */
  readonly gardens: readonly { readonly id: number; readonly name: string; readonly example: boolean }[];
  readonly backup: BackupState;
}

/** When the last backup worked, and what was wrong with the newest if it did not. */
export interface BackupState {
  readonly lastAt: Date | null;
  readonly problem: string | null;
  /** The last that worked is older than two days: one night without a backup is no alarm. */
  readonly late: boolean;
}

/** How far a garden has moved: what was read or worked out at the same point holds still. */
export interface Moved {
  /** Changes of the plan: what a season is worked out from. */
  readonly revision: number;
  /** Changes of anything that hands change. */
  readonly whole: number;
  /** Which database counts: one that took another's place starts over. */
  readonly base: number;
}

export class SignedOutError extends Error {
  constructor() {
    super("signed out");
  }
}

/** An account's session as its cookie names it, member of a garden or not. */
export interface SignedIn {
  readonly sessionId: number;
  readonly accountId: number;
}

interface EnterRow extends SignedIn, Moved, Record<string, unknown> {
  confirmedAt: Date;
  gardenId: number | null;
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
  gardens: Session["gardens"];
  backupAt: Date | null;
  backupProblem: string | null;
}

const LATE_MS = 2 * 86_400_000;
/** A session that nobody used for so long has ended. */
export const IDLE_DAYS = 14;
/** How often a session's "last seen" is written down: not at every page. */
const SEEN_MINUTES = 5;

/** One question for all that a request has to know of who asks. */
const enter = cache(async (): Promise<EnterRow | null> => {
  const { token } = await sessionCookie();
  if (!token) return null;
  return maybeOne<EnterRow>(pool(), "select * from enter($1, make_interval(days => $2), make_interval(mins => $3))", [
    tokenHash(token),
    IDLE_DAYS,
    SEEN_MINUTES,
  ]);
});

/** The session behind this request's cookie, or null. */
export async function signedIn(): Promise<SignedIn | null> {
  return enter();
}

/** Stations of the plan. What really happened is never supposed. */
const PLANNED = /^\/(?:place|water|feed|growth|batches)(?:\/|$)/u;

/** The what-if that an address is of: `/place?whatif=3`. A page keeps it, and what it sends goes there. */
function whatIfOf(path: string | null): number | null {
  const [sheet, query = ""] = (path ?? "").split("?");
  if (!PLANNED.test(sheet!)) return null;
  const asked = new URLSearchParams(query).get("whatif");
  return asked !== null && /^[1-9]\d{0,8}$/u.test(asked) ? Number(asked) : null;
}

/** Who asks, or null when nobody is signed in or the account is a member of no garden. */
export const maybeSession = cache(async (): Promise<Session | null> => {
  const row = await enter();
  if (!row || row.gardenId === null) return null;
  const { system, ec, temperature, currency, revision, whole, base, gardenId, backupAt, backupProblem, ...rest } = row;
  return {
    ...rest,
    gardenId,
    units: { system, ec, temperature, currency },
    today: today(row.timeZone),
    moved: { revision, whole, base },
    whatIf: whatIfOf((await headers()).get("x-seed-round-path")),
    // By the real clock, whatever day the garden shows.
    backup: {
      lastAt: backupAt,
      problem: backupProblem,
      late: backupAt !== null && Date.now() - backupAt.getTime() > LATE_MS,
    },
  };
});

/** Who asks. @throws SignedOutError when nobody is signed in */
export async function session(): Promise<Session> {
  const who = await maybeSession();
  if (!who) throw new SignedOutError();
  return who;
}

/** Who asks for a page; whoever is not signed in is sent to sign in first. */
export async function pageSession(): Promise<Session> {
  const who = await maybeSession();
  if (who) return who;
  const path = (await headers()).get("x-seed-round-path") ?? "/round";
  redirect(`/sign-in?to=${encodeURIComponent(path)}`);
}
