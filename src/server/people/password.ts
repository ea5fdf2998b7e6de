import { hash, verify } from "@node-rs/argon2";
import { dictionary } from "@zxcvbn-ts/language-common";
import { RefusedError } from "../session/refusal";

/** argon2id with the library's own costs (19 MiB, two passes, one lane): RFC 9106, section 4, second choice scaled to memory. */
export function passwordHash(password: string): Promise<string> {
  return hash(password);
}

let nobody: Promise<string> | undefined;

/** Whether a password fits. For an account that is not there the same work is done, so that the time says nothing. */
export async function passwordFits(kept: string | undefined, password: string): Promise<boolean> {
  nobody ??= passwordHash("nobody's password");
  const fits = await verify(kept ?? (await nobody), password);
  return kept !== undefined && fits;
}

let common: ReadonlySet<string> | undefined;

/**
 * Refuses a password that whoever guesses tries first: one of the 49,000 most used, or the name of the garden or of its
 * person, alone, doubled or with figures behind it.
 *
 * @param names of the garden, the person and the account
 * @throws RefusedError beside the field "password"
 */
export function requireUncommon(password: string, names: readonly string[]): void {
  const problem = passwordProblem(password, names);
  if (problem) throw new RefusedError({ room: "people", kind: problem }, "password");
}

export function passwordProblem(
  password: string,
  names: readonly string[],
): "common-password" | "known-name-password" | null {
  common ??= new Set(dictionary["passwords-common"] as readonly string[]);
  const lower = password.toLowerCase();
  if (common.has(lower) || common.has(lower.replace(/[\d\W_]+$/u, ""))) return "common-password";
  const bare = lettersOf(password);
  const own = names.map(lettersOf).filter((name) => name.length >= 3);
  if (
    own.some(
      (name) =>
        bare === name || bare === name + name || (bare.startsWith(name) && /^\d+$/u.test(bare.slice(name.length))),
    )
  )
    return "known-name-password";
  return null;
}

/** Letters and figures alone: case, accents and punctuation do not make another name. */
function lettersOf(text: string): string {
  return text
    .normalize("NFKD")
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]/gu, "");
}
