import { requireSpec } from "../kinds/requireSpec";
import { requireWhole, requireFigures } from "../../units/range";
import type { StandSpec } from "../kinds";
import { houseClashes, type HouseClash } from "../houseChecks";
import type { PlacedStand } from "../stand";
import { standCounts } from "../standCounts";

export const LAYOUT_FORMAT = "seed-round-layout";
export const LAYOUT_VERSION = 2;

export interface LayoutHouse {
  readonly name: string;
  readonly lengthM: number;
  readonly widthM: number;
  readonly heightM: number;
  readonly cover: "net" | "film" | "glass" | "polycarbonate" | "open" | "solid";
  readonly shadeShare: number;
  readonly xM: number;
  readonly yM: number;
}

export interface LayoutArea {
  readonly name: string;
  readonly cleaningDays: number;
}

export interface LayoutStand {
  readonly name: string;
  /** Names of the house it stands in, the growing area it is used for and the loop that waters it; null is by hand. */
  readonly house: string;
  readonly growingArea: string;
  readonly loop: string | null;
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
  /** Higher than that of the others; files of before do not tell it. */
  readonly groundM?: number;
  readonly spec: StandSpec;
}

/** A whole layout by names, as it is saved, compared, imported and exported. docs/layout.schema.json */
export interface LayoutDocument {
  readonly format: typeof LAYOUT_FORMAT;
  readonly version: typeof LAYOUT_VERSION;
  readonly name: string;
  readonly houses: readonly LayoutHouse[];
  readonly growingAreas: readonly LayoutArea[];
  readonly stands: readonly LayoutStand[];
}

/** Something wrong in a layout, and where: `stands[3].house`. */
export interface LayoutFault {
  readonly path: string;
  readonly finding: LayoutFinding;
}

export type LayoutFinding =
  | HouseClash
  | {
      readonly kind: "names-nothing";
      readonly part: "house" | "growing-area" | "loop";
      readonly stand: string;
      readonly name: string;
    }
  | { readonly kind: "name-twice"; readonly part: "house" | "growing-area" | "stand"; readonly name: string }
  | { readonly kind: "no-plant-fits"; readonly stand: string }
  /** A figure of a file that is not as docs/layout.schema.json has it, in the units of the file. */
  | { readonly kind: "not-in-format"; readonly text: string };

/** The stands of one house of a layout, numbered by their place in it. */
export function standsIn(layout: LayoutDocument, house: string): (PlacedStand & { readonly index: number })[] {
  requireLayout("standsIn", layout);
  return layout.stands.flatMap((stand, index) => (stand.house === house ? [{ ...stand, id: index, index }] : []));
}

/**
 * What is wrong with a layout whose every measure is in its range: names that are there twice, references to nothing,
 * stands without a site, over one another or out of their house.
 *
 * @param loops names of the loops that the garden has
 * @returns one fault each, none when it can be put to use
 */
export function layoutFaults(layout: LayoutDocument, loops: readonly string[]): LayoutFault[] {
  requireLayout("layoutFaults", layout);
  const faults: LayoutFault[] = [];
  const say = (path: string, finding: LayoutFinding) => faults.push({ path, finding });
  const houses = names(layout.houses, "houses", "house", say);
  const growingAreas = names(layout.growingAreas, "growingAreas", "growing-area", say);
  const seen = new Set<string>();
  for (const [index, stand] of layout.stands.entries()) {
    const at = `stands[${index}]`;
    if (!houses.has(stand.house))
      say(`${at}.house`, { kind: "names-nothing", part: "house", stand: stand.name, name: stand.house });
    if (!growingAreas.has(stand.growingArea))
      say(`${at}.growingArea`, {
        kind: "names-nothing",
        part: "growing-area",
        stand: stand.name,
        name: stand.growingArea,
      });
    if (stand.loop !== null && !loops.includes(stand.loop))
      say(`${at}.loop`, { kind: "names-nothing", part: "loop", stand: stand.name, name: stand.loop });
    const key = `${stand.house}\n${stand.name}`;
    if (seen.has(key)) say(`${at}.name`, { kind: "name-twice", part: "stand", name: stand.name });
    seen.add(key);
    if (standCounts(stand.spec).sites === 0) say(`${at}.spec`, { kind: "no-plant-fits", stand: stand.name });
  }
  for (const house of layout.houses)
    for (const clash of houseClashes(house, standsIn(layout, house.name)))
      say(`stands[${clash.stands.at(-1)!}]`, clash);
  return faults;
}

function names(
  rows: readonly { readonly name: string }[],
  list: string,
  part: "house" | "growing-area",
  say: (path: string, finding: LayoutFinding) => void,
) {
  const found = new Set<string>();
  for (const [index, { name }] of rows.entries()) {
    if (found.has(name)) say(`${list}[${index}].name`, { kind: "name-twice", part, name });
    found.add(name);
  }
  return found;
}

export function requireLayoutHouse(where: string, house: LayoutHouse): void {
  requireFigures(where, house, {
    lengthM: [0.01, 10_000],
    widthM: [0.01, 10_000],
    heightM: [0, 1000],
    shadeShare: [0, 1],
    xM: [-10_000, 10_000],
    yM: [-10_000, 10_000],
  });
}

/** @throws RangeError that names the first figure of a layout that is outside its range */
export function requireLayout(where: string, layout: LayoutDocument): void {
  for (const house of layout.houses) requireLayoutHouse(where, house);
  for (const { cleaningDays } of layout.growingAreas) requireWhole(where, "cleaningDays", cleaningDays, 0, 366);
  for (const stand of layout.stands) {
    requireFigures(where, stand, { xM: [-10_000, 10_000], yM: [-10_000, 10_000] });
    requireSpec(where, stand.spec);
  }
}
