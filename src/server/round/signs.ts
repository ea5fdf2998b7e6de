import type { Shortage } from "@/core/batches/shortages";
import { loopLadder } from "@/core/garden/tank";
import { cachedAt } from "../session/cachedAt";
import { todayRound, type Today } from "./today";

/** What a station warns of: the first thing that runs short, or a loop whose pump falls short. */
export type Warning =
  { readonly kind: "shortage"; readonly shortage: Shortage } | { readonly kind: "weak-loop"; readonly loop: string };

export interface Signs {
  readonly round: { readonly waits: number };
  readonly water: { readonly warns: Warning | null };
  readonly feed: { readonly waits: number; readonly warns: Warning | null };
  readonly batches: { readonly warns: Warning | null };
}

/** How far ahead a shortage is worth a red sign. */
const AHEAD_DAYS = 42;

/** What each station wants today; looked for again when the garden has moved. */
export async function stationSigns(): Promise<Signs> {
  const today = await todayRound();
  const { gardenId, moved, whatIf } = today.season.who;
  const point = `${moved.base} ${moved.whole} ${today.season.plan.today}`;
  return cachedAt(`${gardenId} signs ${whatIf ?? ""}`, point, async () => signsOf(today));
}

function signsOf({ items, season }: Today): Signs {
  const soon = season.shortages.filter((shortage) => shortage.day - season.plan.today <= AHEAD_DAYS);
  const first = (kind: Shortage["kind"]): Warning | null => {
    const shortage = soon.find((one) => one.kind === kind);
    return shortage ? { kind: "shortage", shortage } : null;
  };
  const weak = season.garden.loops.find((loop) => {
    const { rungs, tightest } = loopLadder(season, loop);
    return tightest !== null && rungs[tightest]!.verdict === "short";
  });
  return {
    round: { waits: items.length },
    water: { warns: first("water") ?? (weak ? { kind: "weak-loop", loop: weak.name } : null) },
    feed: { waits: items.filter(({ task }) => task.kind === "mix").length, warns: first("salt") },
    batches: { warns: first("sites") },
  };
}
