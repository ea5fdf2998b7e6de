import { stopOfEntry } from "@/core/round/log";
import type { RoundItem, Stop } from "@/core/round/types";
import type { FirstEntry } from "@/core/round/log";

export interface WalkStop {
  readonly stop: Stop;
  readonly items: readonly RoundItem[];
  readonly done: readonly FirstEntry[];
}

/** Items and what is done already, stop by stop in walking order. */
export function stopsOf(items: readonly RoundItem[], done: readonly FirstEntry[]): WalkStop[] {
  const stops = new Map<string, { stop: Stop; items: RoundItem[]; done: FirstEntry[] }>();
  const at = (stop: Stop) => {
    const found = stops.get(stop.key) ?? { stop, items: [], done: [] };
    stops.set(stop.key, found);
    return found;
  };
  for (const item of items) at(item.stop).items.push(item);
  for (const entry of done) {
    const stop = stopOfEntry(entry.what);
    if (stop) at(stop).done.push(entry);
  }
  return [...stops.values()].sort((a, b) => a.stop.order - b.stop.order);
}
