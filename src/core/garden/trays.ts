import type { Garden } from "./garden";

/** Cells of a tray in each growing area that has trays of cells; none where its stands differ. */
export function cellsPerTrayByArea({ stands }: Pick<Garden, "stands">): Readonly<Record<number, number>> {
  const found = new Map<number, number | null>();
  for (const { growingAreaId, spec } of stands) {
    const cells = spec.kind === "tray-rack" ? spec.cellsPerTray : null;
    found.set(growingAreaId, found.has(growingAreaId) && found.get(growingAreaId) !== cells ? null : cells);
  }
  return Object.fromEntries([...found].filter((entry): entry is [number, number] => entry[1] !== null));
}
