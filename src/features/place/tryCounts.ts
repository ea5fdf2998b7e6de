import { standCounts, type StandCounts } from "@/core/place/standCounts";
import type { StandSpec } from "@/core/place/stand";

/** Counts while measures are typed or pulled: none as long as they are outside their ranges; who saves them says so. */
export function tryCounts(spec: StandSpec): StandCounts | null {
  try {
    return standCounts(spec);
  } catch {
    return null;
  }
}
