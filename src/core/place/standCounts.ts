import { requireSpec } from "./kinds/requireSpec";
import { modelOf, type StandSpec } from "./kinds";
import type { StandCounts } from "./kinds/model";

export type { StandCounts, StandFact } from "./kinds/model";

/**
 * Lines, sites, figures and doubts of a stand of any kind.
 *
 * @throws RangeError when a measure is outside its range
 * @source domain rules of counting; cases in tests/reference/place/counts.json
 */
export function standCounts(spec: StandSpec): StandCounts {
  requireSpec("standCounts", spec);
  return modelOf(spec).counts(spec);
}
