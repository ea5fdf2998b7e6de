import { quantityText } from "@/core/units/format";
import { dayInWords } from "@/core/units/day";
import { loopLadder } from "../water/ladders";
import { keptAt } from "../session/kept";
import { todayRound, type Today } from "./today";

export interface Signs {
  readonly round: { readonly waits: number };
  readonly water: { readonly warns?: string };
  readonly feed: { readonly waits?: number; readonly warns?: string };
  readonly batches: { readonly warns?: string };
}

/** How far ahead a shortage is worth a red sign. */
const AHEAD_DAYS = 42;

/** What each station wants today; looked for again when the garden has moved. */
export async function stationSigns(): Promise<Signs> {
  const today = await todayRound();
  const { gardenId, moved } = today.season.who;
  const point = `${moved.base} ${moved.whole} ${today.season.plan.today}`;
  return keptAt(`${gardenId} signs`, point, async () => signsOf(today));
}

function signsOf({ items, season }: Today): Signs {
  const soon = season.shortages.filter((shortage) => shortage.day - season.plan.today <= AHEAD_DAYS);
  const words = (kind: string) => {
    const first = soon.find((shortage) => shortage.kind === kind);
    return (
      first &&
      `${first.name} short from ${dayInWords(first.day)}: ${quantityText(first.amount, first.dimension, season.who.units)}`
    );
  };
  const weak = season.rows.loops.find((loop) => {
    const { rungs, tightest } = loopLadder(season, loop);
    return tightest !== null && rungs[tightest]!.verdict === "short";
  });
  return {
    round: { waits: items.length },
    water: { warns: words("water") ?? (weak && `${weak.name} loop falls short`) },
    feed: { waits: items.filter((item) => item.kind === "mix").length, warns: words("salt") },
    batches: { warns: words("sites") },
  };
}
