import { requireWhole } from "../units/range";

/** How a crop's tone is drawn over, so that two crops of one tone, or of one grey, can be told apart. */
export const HATCHES = ["plain", "dots", "bars", "slants"] as const;
export type Hatch = (typeof HATCHES)[number];

/** The sign of a crop, the same wherever it is drawn. */
export interface CropMark {
  /** 0 … TONES − 1. */
  readonly tone: number;
  readonly hatch: Hatch;
  /** Two letters or a few more, of no other crop of the garden. */
  readonly initials: string;
}

export const TONES = 8;

/**
 * The signs of a garden's crops, in the order in which they came: a new crop changes no other's. Up to 32 crops differ in
 * tone and hatch, all of them in their initials.
 *
 * @throws RangeError for an id that is no whole number
 */
export function cropMarks(
  varieties: readonly { readonly id: number; readonly name: string }[],
): ReadonlyMap<number, CropMark> {
  const taken = new Set<string>();
  const marks = new Map<number, CropMark>();
  for (const { id } of varieties) requireWhole("cropMarks", "id", id, -2_147_483_648, 2_147_483_647);
  [...varieties]
    .sort((a, b) => a.id - b.id)
    .forEach(({ id, name }, at) => {
      const initials = initialsOf(name, taken);
      taken.add(initials);
      const hatch = HATCHES[(at + Math.floor(at / TONES)) % HATCHES.length]!;
      marks.set(id, { tone: at % TONES, hatch, initials });
    });
  return marks;
}

/** The first letter, and the next one that makes a pair nobody has; a number behind where all are taken. */
function initialsOf(name: string, taken: ReadonlySet<string>): string {
  const [first = "?", ...others] = [...name.replace(/[^\p{L}\p{N}]/gu, "")];
  const pairs = others.map((letter) => first.toLocaleUpperCase("en") + letter.toLocaleLowerCase("en"));
  const free = pairs.find((pair) => !taken.has(pair));
  if (free) return free;
  for (let count = 2; ; count++) {
    const numbered = `${first.toLocaleUpperCase("en")}${count}`;
    if (!taken.has(numbered)) return numbered;
  }
}
