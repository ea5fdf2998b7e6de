import { SETTLE_MINUTES } from "../feed/doseSlip";
import { liquidL, lotsLeft, type Salt } from "../feed/salts";
import { stockMl } from "../feed/stocks";
import { stockLetters } from "../feed/strengthSteps";
import type { Day } from "../units/day";
import { requireRange } from "../units/range";
import { tankName } from "../water/tankName";
import { TANKS } from "./log";
import { BARE, type Amount, type RoundItem, type RoundLoop } from "./types";

/** A stock tank with fewer days left than this is mixed on the next round. */
const MIX_BELOW_DAYS = 7;
/** A tank is topped up when this share of its normal fill is missing. */
const TOP_UP_SHARE = 0.05;

/** What the tank of a loop wants today: to be read, brought back, changed or topped up, and its stocks mixed. */
export function tankItems(loop: RoundLoop, today: Day): RoundItem[] {
  const items: RoundItem[] = [];
  const tank = { loopId: loop.id, tank: tankName(loop.name) };
  const due = loop.lastReading ? loop.lastReading.day + loop.readEveryDays : today;
  if (loop.dosed)
    items.push({
      ...BARE,
      key: `read-again:${loop.dosed.entryId}`,
      stop: TANKS,
      task: { kind: "read-again", entryId: loop.dosed.entryId, ...tank },
      from: new Date(loop.dosed.at.getTime() + SETTLE_MINUTES * 60_000),
      due: loop.dosed.day,
      ageDays: today - loop.dosed.day,
    });
  else if (due <= today)
    items.push({
      ...BARE,
      key: `reading:${loop.id}`,
      stop: TANKS,
      task: { kind: "reading", lastRead: loop.lastReading?.day ?? null, ...tank },
      due,
      ageDays: today - due,
    });
  if (loop.outOfBand)
    items.push({
      ...BARE,
      key: `bring-back:${loop.outOfBand.entryId}`,
      stop: TANKS,
      task: { kind: "bring-back", entryId: loop.outOfBand.entryId, readOn: loop.outOfBand.day, ...tank },
      due: loop.outOfBand.day,
      ageDays: today - loop.outOfBand.day,
    });
  const change = changeItem(loop, today);
  // A tank that is made anew is not topped up before.
  const topUp = change ? null : topUpItem(loop, today);
  items.push(...[change, topUp].filter((item) => item !== null));
  return [...items, ...mixItems(loop, today), ...calibrateItems(loop, today)];
}

function calibrateItems({ id, name, calibrationDue }: RoundLoop, today: Day): RoundItem[] {
  if (!calibrationDue) return [];
  const { due, since, ratioR } = calibrationDue;
  return [
    {
      ...BARE,
      key: `calibrate:${id}`,
      stop: TANKS,
      task: { kind: "calibrate", loopId: id, loop: name, ratioR, since },
      due,
      ageDays: today - due,
    },
  ];
}

function changeItem(loop: RoundLoop, today: Day): RoundItem | null {
  if (!loop.changeDue) return null;
  const { due, since, rule } = loop.changeDue;
  return {
    key: `change-solution:${loop.id}`,
    stop: TANKS,
    task: {
      ...{ kind: "change-solution", loopId: loop.id, tank: tankName(loop.name), litres: loop.normalFillL },
      ...{ since, rule },
      ...(loop.feed?.strength != null && { computedMsPerCm: loop.feed.madeToMsPerCm }),
    },
    amounts: feedAmounts(loop, loop.normalFillL),
    cautions: ["discharge", "electric"],
    due: Math.min(due, today),
    ageDays: Math.max(0, today - due),
  };
}

/** Due where the last reading and the days since say that the tank is low; today's reading brings a slip of its own. */
function topUpItem(loop: RoundLoop, today: Day): RoundItem | null {
  const last = loop.lastReading;
  if (loop.feeding === "injector" || !last || last.levelL === null || last.day >= today || !loop.feed?.strength)
    return null;
  const expectedL = Math.max(0, last.levelL - loop.needLpd * (today - last.day));
  const litres = loop.normalFillL - expectedL;
  if (litres < loop.normalFillL * TOP_UP_SHARE) return null;
  return {
    key: `top-up:${loop.id}`,
    stop: TANKS,
    task: { kind: "top-up", litres, expectedL, loopId: loop.id, tank: tankName(loop.name) },
    amounts: feedAmounts(loop, litres),
    cautions: ["salts"],
    due: today,
    ageDays: 0,
  };
}

/** Stock or salts for a volume of feed at full strength. */
export function feedAmounts(
  loop: Pick<RoundLoop, "feeding" | "feed"> & {
    readonly salts: readonly (Pick<Salt, "form" | "densityKgPerL"> & { readonly id: number; readonly name: string })[];
  },
  litres: number,
): Amount[] {
  requireRange("feedAmounts", "litres", litres, 0);
  const { feed } = loop;
  if (!feed) return [];
  if (loop.feeding !== "dry")
    return stockLetters(feed).map((letter) => ({
      of: { kind: "stock" as const, letter },
      name: `stock ${letter}`,
      value: stockMl(litres, feed.factor) / 1000,
      dimension: "dose" as const,
    }));
  return feed.gPer1000L
    .map((grams, i) => ({
      of: { kind: "salt" as const, saltId: loop.salts[i]!.id },
      name: loop.salts[i]!.name,
      value: (grams * litres) / 1000,
      dimension: "mass" as const,
      ...inLitres(loop.salts[i]!, (grams * litres) / 1000),
    }))
    .filter((amount) => amount.value > 0.005);
}

/** A liquid is told by its litres too. */
function inLitres(salt: Pick<Salt, "form" | "densityKgPerL">, grams: number): { readonly litres?: number } {
  const litres = liquidL(salt, grams);
  return litres === null ? {} : { litres };
}

function mixItems(loop: RoundLoop, today: Day): RoundItem[] {
  if (loop.feeding === "dry" || !loop.feed) return [];
  return loop.feed.stocks
    .filter((stock) => stock.daysLeft.exact < MIX_BELOW_DAYS && stock.salts.length > 0)
    .map(({ tank: { letter, volumeL, leftL }, daysLeft, salts }) => ({
      key: `mix:${loop.id}:${letter}`,
      stop: TANKS,
      task: {
        kind: "mix" as const,
        loopId: loop.id,
        loop: loop.name,
        letter,
        tankL: volumeL,
        leftL,
        daysLeft: daysLeft.whole,
      },
      amounts: salts.map(({ id: saltId, name, tankG }) => {
        const onShelf = loop.salts.find(({ id }) => id === saltId);
        // What is left is at strength: salts for what comes onto it.
        const value = (tankG * (volumeL - leftL)) / volumeL;
        const lots = lotsLeft(onShelf?.lots ?? []).map((lot) => lot.name);
        const of = { kind: "salt" as const, saltId };
        return { of, name, value, dimension: "mass" as const, ...(onShelf && inLitres(onShelf, value)), lots };
      }),
      cautions: ["salts" as const, "lifting" as const],
      due: today,
      ageDays: 0,
    }));
}
