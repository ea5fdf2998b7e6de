/** The request that an action or a route is called in: its cookies and headers, as the framework would give them. */
const jar = new Map<string, string>();

interface CookieStore {
  get(name: string): { name: string; value: string } | undefined;
  set(name: string | { name: string; value: string }, value?: string): void;
}

const store: CookieStore = {
  get: (name) => (jar.get(name) ? { name, value: jar.get(name)! } : undefined),
  set: (name, value) =>
    typeof name === "string" ? void jar.set(name, value ?? "") : void jar.set(name.name, name.value),
};

/** Stands in for `next/headers` in tests that call actions and routes themselves. */
export const nextHeaders = {
  cookies: async () => store,
  headers: async () => new Headers({ "x-seed-round-address": "127.0.0.9", "user-agent": "test", ...own }),
};

let own: Readonly<Record<string, string>> = {};

/** Calls have these headers too from here on. */
export function withHeaders(headers: Readonly<Record<string, string>>): void {
  own = headers;
}

/** The names of the cookies that the browser holds. */
export const cookieNames = () => [...jar.keys()];

/** Every cookie is gone: a browser that nobody knows. */
export function signedOut(): void {
  jar.clear();
}

/** What the browser holds, to be taken up again later. */
export const cookies = () => new Map(jar);
export function takeCookies(kept: ReadonlyMap<string, string>): void {
  jar.clear();
  for (const [name, value] of kept) jar.set(name, value);
}

/** The session is gone; the browser is known still. */
export function sessionLost(): void {
  jar.delete("seed_round");
}

const signedIn = new Map<string, string>();

/** Calls come from this person from here on; by a real sign-in the first time. */
export async function signedInAs(signInName: string, password = "saltcote-yard", again = false): Promise<void> {
  signedOut();
  const kept = signedIn.get(signInName);
  if (kept !== undefined && !again) return void jar.set("seed_round", kept);
  const { signIn } = await import("../../src/server/people/accessActions");
  const result = await signIn({ signInName, password });
  if (!result.ok) throw new Error(result.reason.kind);
  signedIn.set(signInName, jar.get("seed_round")!);
}
