/** What is grown of a crop: it decides what a cell is called and which stands suit it. */
export const CROP_KINDS = ["leaf", "herb", "fruit", "root", "shoots", "fodder", "flower"] as const;
export type CropKind = (typeof CROP_KINDS)[number];

/** Shoots and fodder are sown broadcast: their site is a whole tray. */
export function isSownInTrays(kind: CropKind): boolean {
  return kind === "shoots" || kind === "fodder";
}
