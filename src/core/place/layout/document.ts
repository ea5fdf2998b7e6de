import type { StandSpec } from "../kinds";
import { houseClashes } from "../houseChecks";
import type { PlacedStand } from "../stand";
import { standCounts } from "../standCounts";

export const LAYOUT_FORMAT = "seed-round-layout";
export const LAYOUT_VERSION = 1;

export interface LayoutHouse {
  readonly name: string;
  readonly lengthM: number;
  readonly widthM: number;
  readonly heightM: number;
  readonly cover: "net" | "film" | "glass" | "polycarbonate" | "open";
  readonly shadeShare: number;
  readonly xM: number;
  readonly yM: number;
}

export interface LayoutStand {
  readonly name: string;
  /** Names of the house it stands in, the pool it serves and the loop that waters it; null is by hand. */
  readonly house: string;
  readonly pool: string;
  readonly loop: string | null;
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
  readonly spec: StandSpec;
}

/** A whole layout by names, as it is put by, compared, and goes in and out as a file. docs/layout.schema.json */
export interface LayoutDocument {
  readonly format: typeof LAYOUT_FORMAT;
  readonly version: typeof LAYOUT_VERSION;
  readonly name: string;
  readonly houses: readonly LayoutHouse[];
  readonly pools: readonly { readonly name: string; readonly cleaningDays: number }[];
  readonly stands: readonly LayoutStand[];
}

/** Something wrong in a layout, and where: `stands[3].house`. */
export interface LayoutFault {
  readonly path: string;
  readonly message: string;
}

/** The stands of one house of a layout, numbered by their place in it. */
export function standsIn(layout: LayoutDocument, house: string): (PlacedStand & { readonly index: number })[] {
  return layout.stands.flatMap((stand, index) => (stand.house === house ? [{ ...stand, id: index, index }] : []));
}

/** The layout with a house in this place changed or, at the end, added; its stands go by its name and follow it. */
export function withHouse(layout: LayoutDocument, at: number, house: LayoutHouse): LayoutDocument {
  const before = layout.houses[at]?.name;
  return {
    ...layout,
    houses: [...layout.houses.slice(0, at), house, ...layout.houses.slice(at + 1)],
    stands: layout.stands.map((stand) => (stand.house === before ? { ...stand, house: house.name } : stand)),
  };
}

/**
 * What is wrong with a layout whose every measure is in its range: names that are there twice, references to nothing,
 * stands without a site, over one another or out of their house.
 *
 * @param loops names of the loops that the garden has
 * @returns one fault each, none when it can be put to use
 */
export function layoutFaults(layout: LayoutDocument, loops: readonly string[]): LayoutFault[] {
  const faults: LayoutFault[] = [];
  const say = (path: string, message: string) => faults.push({ path, message });
  const houses = names(layout.houses, "houses", "house", say);
  const pools = names(layout.pools, "pools", "pool", say);
  const seen = new Set<string>();
  for (const [index, stand] of layout.stands.entries()) {
    const at = `stands[${index}]`;
    if (!houses.has(stand.house)) say(`${at}.house`, `${stand.name} stands in “${stand.house}”, which is none of the houses of this layout.`); // prettier-ignore
    if (!pools.has(stand.pool)) say(`${at}.pool`, `${stand.name} serves “${stand.pool}”, which is none of the pools of this layout.`); // prettier-ignore
    if (stand.loop !== null && !loops.includes(stand.loop)) say(`${at}.loop`, `${stand.name} is watered by “${stand.loop}”, which is none of the garden's loops.`); // prettier-ignore
    const key = `${stand.house}\n${stand.name}`;
    if (seen.has(key)) say(`${at}.name`, `There are two stands called “${stand.name}” in “${stand.house}”.`);
    seen.add(key);
    if (standCounts(stand.spec).sites === 0) say(`${at}.spec`, `With the measures of ${stand.name} no plant fits at all.`); // prettier-ignore
  }
  for (const house of layout.houses)
    for (const clash of houseClashes(house, standsIn(layout, house.name)))
      say(`stands[${clash.stands.at(-1)!}]`, clash.message);
  return faults;
}

function names(rows: readonly { readonly name: string }[], list: string, word: string, say: (path: string, message: string) => void) {
  const found = new Set<string>();
  for (const [index, { name }] of rows.entries()) {
    if (found.has(name)) say(`${list}[${index}].name`, `There are two ${word}s called “${name}”.`);
    found.add(name);
  }
  return found;
} // prettier-ignore
