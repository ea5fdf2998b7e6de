/** What changes the water of a tank is for those who may dose, done or undone. */
export function isDose(kind: string): boolean {
  return kind === "dose" || kind === "mix" || kind === "top-up" || kind === "calibrate" || kind === "calibration";
}
