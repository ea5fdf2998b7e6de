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
  headers: async () => new Headers({ "x-seed-round-address": "127.0.0.9", "user-agent": "test" }),
};

/** Every cookie is gone: nobody is signed in. */
export function signedOut(): void {
  jar.clear();
}

const signedIn = new Map<string, string>();

/** Calls come from this person from here on; through the real door the first time. */
export async function signedInAs(signInName: string, password = "saltcote-yard", anew = false): Promise<void> {
  signedOut();
  const kept = signedIn.get(signInName);
  if (kept !== undefined && !anew) return void jar.set("seed_round", kept);
  const { signIn } = await import("../../src/server/people/doorActions");
  const result = await signIn({ signInName, password });
  if (!result.ok) throw new Error(result.message);
  signedIn.set(signInName, jar.get("seed_round")!);
}
