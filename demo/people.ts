export { DEMO_PASSWORD } from "../src/server/people/demoPassword";

export const DEMO_KEEPER = "ines";

/** The demo's members sign in with the first word of their name. */
export function demoSignInName(name: string): string {
  return name.split(" ")[0]!.toLowerCase();
}
