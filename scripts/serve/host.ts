import type { IncomingMessage } from "node:http";

/** How the server is reached: its own port, and what is in front of it. */
export interface Reach {
  readonly port: number;
  /** How many proxies in front of us may say for whom and under which name they ask; none unless said. */
  readonly proxies: number;
  /** The names under which the proxy is reached; where none is given, it may name any, but only from our own address. */
  readonly names: readonly string[];
}

/**
 * Whether a request names us: our own address on loopback, or the name that the proxy goes by. A page of another site whose
 * name was made to lead here (rebinding) names its own, and gets no answer.
 */
export function namesUs({ headers }: IncomingMessage, { port, proxies, names }: Reach): boolean {
  const host = lower(headers.host);
  const isOwn = ["127.0.0.1", "localhost", "[::1]"].some((name) => host === `${name}:${port}`);
  if (proxies === 0) return isOwn;
  const forwarded = lower(headers["x-forwarded-host"]);
  // Whoever asks us through another site's name could forge this header too, but not the host itself.
  if (names.length === 0) return isOwn;
  return (isOwn && forwarded === undefined) || names.includes(forwarded ?? host ?? "");
}

/** The address we saw ourselves, or that a trusted proxy saw; what the request itself claims counts for nothing. */
export function printAddress(request: IncomingMessage, { proxies }: Reach): void {
  const { headers, socket } = request;
  const claimed = String(headers["x-forwarded-for"] ?? "")
    .split(",")
    .map((part) => part.trim())
    .filter(Boolean);
  const address = proxies > 0 ? claimed.at(-proxies) : undefined;
  headers["x-seed-round-address"] = address ?? socket.remoteAddress ?? "unknown";
  if (proxies > 0) return;
  for (const name of ["x-forwarded-for", "x-forwarded-proto", "x-forwarded-host"]) delete headers[name];
}

function lower(value: string | string[] | undefined): string | undefined {
  return Array.isArray(value) ? value[0]?.toLowerCase() : value?.toLowerCase();
}
