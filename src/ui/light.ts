export type Light = "paper" | "night";

/** Kept for a year in a cookie, so that the first paint has the right light. */
export const LIGHT_COOKIE = "light";
