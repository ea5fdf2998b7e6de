import type { StandKind, StandSpec } from "./kinds";
import { requireSpec } from "./kinds/requireSpec";
import { requireWhole } from "../units/range";

/** What a stand of each kind grows by. */
const GROWS_BY: Readonly<Record<StandKind, string>> = {
  "channel-bank": "lines",
  "drip-beds": "lines",
  "bucket-line": "lines",
  "flood-bench": "lines",
  "media-bed": "lines",
  "wicking-bed": "lines",
  "raft-pond": "ponds",
  "tray-rack": "racks",
  "shoots-rack": "racks",
  towers: "towersPerRow",
};

/**
 * A stand with more of what it is made of: lines, ponds, racks or towers.
 * @throws RangeError for a specification or a number that cannot be
 */
export function standWithMore(spec: StandSpec, more: number): StandSpec {
  requireSpec("standWithMore", spec);
  requireWhole("standWithMore", "more", more, 0, 1000);
  const name = GROWS_BY[spec.kind];
  const figures = spec as unknown as Readonly<Record<string, number>>;
  return { ...spec, [name]: figures[name]! + more } as StandSpec;
}
