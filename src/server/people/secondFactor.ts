import { randomBytes } from "node:crypto";
import { generateSecret, generateURI, verify } from "otplib";
import QRCode from "qrcode";
import { type Db, maybeOne, one, run } from "../db/pool";
import { seal, unseal } from "../session/cookie";
import { tokenHash } from "../session/token";
import { noteAccess } from "./accessEvents";

/** A code holds for 30 s; clocks may be apart by as much. */
const TOLERANCE_S = 30;
const RECOVERY_CODES = 10;
const RECOVERY_BYTES = 10;
const ALPHABET = "abcdefghjkmnpqrstvwxyz0123456789";

export interface NewFactor {
  /** To type by hand. */
  readonly secret: string;
  /** To be read by the phone: an SVG picture. */
  readonly picture: string;
}

/** Since when an account asks for a code beside the password, and how many recovery codes are left. */
export async function factorState(db: Db, accountId: number): Promise<{ onSince: Date | null; codesLeft: number }> {
  const row = await maybeOne<{ onSince: Date | null; codesLeft: number }>(
    db,
    `select on_since as "onSince", (select count(*) from recovery_code where account_id = $1 and used_at is null) as "codesLeft"
       from second_factor where account_id = $1`,
    [accountId],
  );
  return row ?? { onSince: null, codesLeft: 0 };
}

export async function hasFactor(db: Db, accountId: number): Promise<boolean> {
  return (await factorState(db, accountId)).onSince !== null;
}

/** Makes a secret for an account that has none switched on; it counts once a code has shown that the phone has it. */
export async function newFactor(db: Db, accountId: number, signInName: string): Promise<NewFactor> {
  const secret = generateSecret();
  await run(
    db,
    `insert into second_factor (account_id, sealed_secret) values ($1, $2)
     on conflict (account_id) do update set sealed_secret = excluded.sealed_secret where second_factor.on_since is null`,
    [accountId, await seal(secret, await factorKey(db))],
  );
  const uri = generateURI({ issuer: "Seed Round", label: signInName, secret });
  return { secret, picture: await QRCode.toString(uri, { type: "svg", margin: 2 }) };
}

/**
 * Whether a code fits, and uses it up: one of the phone's by the real clock, each step once, or a recovery code.
 * @param code six figures, or a recovery code; spaces and strokes do not count
 */
export async function spendCode(db: Db, accountId: number, code: string): Promise<boolean> {
  const bare = code.toLowerCase().replaceAll(/[\s-]/gu, "");
  if (/^\d{6}$/u.test(bare)) return spendStep(db, accountId, bare);
  const used = await maybeOne(
    db,
    "update recovery_code set used_at = now() where account_id = $1 and code_hash = $2 and used_at is null returning id",
    [accountId, tokenHash(bare)],
  );
  if (used) await noteAccess(accountId, "recovery-code-used", db);
  return used !== null;
}

async function spendStep(db: Db, accountId: number, token: string): Promise<boolean> {
  const kept = await maybeOne<{ sealed: string }>(
    db,
    "select sealed_secret as sealed from second_factor where account_id = $1",
    [accountId],
  );
  const secret = kept && (await unseal<string>(kept.sealed, await factorKey(db)));
  if (!secret) return false;
  const checked = await verify({ secret, token, epochTolerance: TOLERANCE_S });
  if (!checked.valid || !("timeStep" in checked)) return false;
  const used = await maybeOne(
    db,
    "update second_factor set last_step = $2 where account_id = $1 and last_step < $2 returning account_id",
    [accountId, checked.timeStep],
  );
  return used !== null;
}

export async function switchOn(db: Db, accountId: number): Promise<void> {
  await run(db, "update second_factor set on_since = now() where account_id = $1", [accountId]);
}

export async function switchOff(db: Db, accountId: number): Promise<void> {
  await run(db, "delete from second_factor where account_id = $1", [accountId]);
  await run(db, "delete from recovery_code where account_id = $1", [accountId]);
}

/** Ten new recovery codes in the place of the old ones. @returns them; only their hashes are kept */
export async function newRecoveryCodes(db: Db, accountId: number): Promise<string[]> {
  const codes = Array.from({ length: RECOVERY_CODES }, recoveryCode);
  await run(db, "delete from recovery_code where account_id = $1", [accountId]);
  await run(db, "insert into recovery_code (account_id, code_hash) select $1, unnest($2::bytea[])", [
    accountId,
    codes.map((code) => tokenHash(code.replaceAll("-", ""))),
  ]);
  return codes;
}

/** 80 random bits, in four groups of four letters and figures that are not taken for one another. */
function recoveryCode(): string {
  let bits = BigInt(`0x${randomBytes(RECOVERY_BYTES).toString("hex")}`);
  let text = "";
  for (let at = 0; at < 16; at++) {
    text += ALPHABET[Number(bits & 31n)];
    bits >>= 5n;
  }
  return text.match(/.{4}/gu)!.join("-");
}

async function factorKey(db: Db): Promise<string> {
  return (await one<{ key: string }>(db, "garden", "select factor_key as key from installation")).key;
}
