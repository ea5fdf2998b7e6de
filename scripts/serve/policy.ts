import { randomUUID } from "node:crypto";
import type { IncomingMessage, ServerResponse } from "node:http";
import { Unanswerable } from "./body";

/**
 * What a browser may do with a page of ours: only our own scripts run, by a nonce of this answer's own, and nobody may frame,
 * sniff or embed us. The application reads the nonce and the path from the request.
 */
export function writePolicy({ headers, url }: IncomingMessage, response: ServerResponse): void {
  const nonce = Buffer.from(randomUUID()).toString("base64");
  const policy = [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    // Positions and sizes of drawn parts are set on the elements themselves; no script can come in this way.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "manifest-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
  headers["content-security-policy"] = policy;
  headers["x-nonce"] = nonce;
  headers["x-seed-round-path"] = url ?? "/";
  response.setHeader("content-security-policy", policy);
  response.setHeader("x-frame-options", "DENY");
  response.setHeader("referrer-policy", "same-origin");
  response.setHeader("cross-origin-opener-policy", "same-origin");
  response.setHeader("cross-origin-resource-policy", "same-origin");
  response.setHeader("permissions-policy", "camera=(), microphone=(), geolocation=(), payment=(), usb=()");
  if (headers["x-forwarded-proto"] === "https") response.setHeader("strict-transport-security", "max-age=31536000");
}

/** Whatever changes something must have been sent by a page of ours. @throws Unanswerable 403 */
export function requireOwnPage({ method, headers }: IncomingMessage): void {
  if (method === "GET" || method === "HEAD") return;
  const { origin } = headers;
  const host = headers["x-forwarded-host"] ?? headers.host;
  if (origin === undefined || !URL.canParse(origin) || new URL(origin).host !== host)
    throw new Unanswerable(403, "This was sent from another site.");
}
