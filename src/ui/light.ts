export const LIGHTS = ["paper", "night", "sun"] as const;
export type Light = (typeof LIGHTS)[number];

/** Kept for a year in a cookie, so that the first paint has the right light. */
export const LIGHT_COOKIE = "light";

/** A light chosen before, or null for what a cookie should not hold. */
export function lightOf(kept: string | undefined): Light | null {
  return LIGHTS.find((light) => light === kept) ?? null;
}

/** Changes the light of this device, now and for the next visit. */
export function chooseLight(light: Light): void {
  document.documentElement.dataset.light = light;
  document.cookie = `${LIGHT_COOKIE}=${light}; path=/; max-age=31536000; samesite=lax`;
}
