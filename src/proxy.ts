import { NextResponse, type NextRequest } from "next/server";

/**
 * Runs before every page and route: a nonce of this answer's own lets our scripts run and no others, and the headers say
 * that nobody may frame, sniff or embed us.
 */
export function proxy(request: NextRequest): NextResponse {
  if (!fromHere(request)) return new NextResponse("This was sent from another site.\n", { status: 403 });
  const nonce = btoa(crypto.randomUUID());
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
  const headers = new Headers(request.headers);
  headers.set("content-security-policy", policy);
  headers.set("x-nonce", nonce);
  headers.set("x-seed-round-path", request.nextUrl.pathname + request.nextUrl.search);
  const answer = NextResponse.next({ request: { headers } });
  answer.headers.set("content-security-policy", policy);
  answer.headers.set("x-content-type-options", "nosniff");
  answer.headers.set("x-frame-options", "DENY");
  answer.headers.set("referrer-policy", "same-origin");
  answer.headers.set("cross-origin-opener-policy", "same-origin");
  answer.headers.set("cross-origin-resource-policy", "same-origin");
  answer.headers.set("permissions-policy", "camera=(), microphone=(), geolocation=(), payment=(), usb=()");
  if (request.headers.get("x-forwarded-proto") === "https")
    answer.headers.set("strict-transport-security", "max-age=31536000");
  return answer;
}

/** Whatever changes something must have been sent by a page of ours. */
function fromHere({ method, headers }: NextRequest): boolean {
  if (method === "GET" || method === "HEAD") return true;
  const origin = headers.get("origin");
  const host = headers.get("x-forwarded-host") ?? headers.get("host");
  return origin !== null && URL.canParse(origin) && new URL(origin).host === host;
}

export const config = { matcher: "/((?!_next/static|icon.svg).*)" };
