import { createHash, randomBytes } from "node:crypto";

const TOKEN_BYTES = 32;

/** A token that nobody guesses, for a cookie or a link; it is kept nowhere but in that hand. */
export function newToken(): string {
  return randomBytes(TOKEN_BYTES).toString("base64url");
}

/** What is kept of a token. It is random and long, so that a plain hash says nothing about it. */
export function tokenHash(token: string): Buffer {
  return createHash("sha256").update(token).digest();
}
