import type { RoundItem, Stop } from "@/core/round/types";
import type { LogEntry } from "@/server/round/queries";

export interface WalkStop {
  readonly stop: Stop;
  readonly items: readonly RoundItem[];
  readonly done: readonly LogEntry[];
}

/** Items and what is done already, stop by stop in walking order. */
export function stopsOf(items: readonly RoundItem[], done: readonly LogEntry[]): WalkStop[] {
  const stops = new Map<string, { stop: Stop; items: RoundItem[]; done: LogEntry[] }>();
  const at = (stop: Stop) => {
    const found = stops.get(stop.key) ?? { stop, items: [], done: [] };
    stops.set(stop.key, found);
    return found;
  };
  for (const item of items) at(item.stop).items.push(item);
  for (const entry of done) {
    const stop = entry.planned.stop as Stop | undefined;
    if (stop) at(stop).done.push(entry);
  }
  return [...stops.values()].sort((a, b) => a.stop.order - b.stop.order);
}
