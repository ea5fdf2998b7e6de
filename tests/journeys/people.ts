import { DEMO_PASSWORD } from "../../demo/people";

/** What the keeper of the bare garden signs in with. */
export const BARE_KEEPER = { name: "Keeper", signInName: "keeper", password: "a word for tests" };

export const passwordOf = (signInName: string) =>
  signInName === BARE_KEEPER.signInName ? BARE_KEEPER.password : DEMO_PASSWORD;
