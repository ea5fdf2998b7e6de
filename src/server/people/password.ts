import { hash, verify } from "@node-rs/argon2";

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
