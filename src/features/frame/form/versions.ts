import type { FieldValues } from "react-hook-form";
import type { FieldSpec } from "./fields";

/** A field that two people set differently, or that only the other one changed. */
export interface Difference {
  readonly name: string;
  readonly label: string;
  readonly spec: FieldSpec | null;
  readonly mine: unknown;
  readonly theirs: unknown;
  /** Whether it was changed here since the form was opened. */
  readonly touched: boolean;
}

/** Not shown: what names the row, says how it was opened, and how it was typed. */
const NAMES = new Set(["id", "version", "opened", "typed"]);

/** The value at a path of a form ("spec.pitchM"). */
export function valueAt(values: FieldValues, path: string): unknown {
  return path.split(".").reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], values);
}

/**
 * Field by field, where what is typed here and what somebody else saved differ. Parts of a form that have no field of
 * their own are compared as a whole, under their name.
 *
 * @param base the values when the form was opened
 */
export function differences(
  base: FieldValues,
  mine: FieldValues,
  theirs: FieldValues,
  fields: readonly FieldSpec[],
): Difference[] {
  const covered = new Set(fields.map(({ name }) => name.split(".")[0]!));
  const parts = [
    ...fields
      .filter((spec) => !spec.when || spec.when(mine) || spec.when(theirs))
      .map((spec) => ({ name: spec.name, label: spec.label, spec: spec as FieldSpec | null })),
    ...Object.keys({ ...mine, ...theirs })
      .filter((name) => !covered.has(name) && !NAMES.has(name))
      .map((name) => ({ name, label: wordsOf(name), spec: null })),
  ];
  return parts
    .map((part) => ({
      ...part,
      mine: valueAt(mine, part.name),
      theirs: valueAt(theirs, part.name),
      touched: !same(valueAt(base, part.name), valueAt(mine, part.name)),
    }))
    .filter((part) => !same(part.mine, part.theirs));
}

/** "targetsMgPerL" → "targets". */
function wordsOf(name: string): string {
  const words = name
    .replace(/(MgPerL|MsPerCm|MgCaco3PerL)$/u, "")
    .replaceAll(/([A-Z])/gu, " $1")
    .toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
}

function same(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}
