import type { Metadata } from "next";
import { dayInWords } from "@/core/units/day";
import { counted, quantityText } from "@/core/units/format";
import { normalsOf } from "@/core/garden/climate";
import { MEASURED_WITHIN_DAYS, weatherAlerts } from "@/core/garden/houseCrops";
import { recentWeather } from "@/server/place/weatherQueries";
import { read } from "@/server/session/read";
import { WeatherAlerts } from "@/features/round/WeatherAlerts";
import { nextStep } from "@/core/garden/nextStep";
import { NextStep } from "@/features/round/NextStep";
import { storeInHand } from "@/core/garden/ahead";
import { subjectOf } from "@/core/round/log";
import { ItemPanel } from "@/features/round/ItemPanel";
import { RoundWalk } from "@/features/round/RoundWalk";
import { EntryPanel, ReadAgain } from "@/features/round/EntryPanel";
import { stopsOf } from "@/features/round/stops";
import { readingOf, readingView } from "@/server/round/readingView";
import { todayRound } from "@/server/round/today";
import { PrintButton } from "@/ui/PrintButton";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";
import { roundTabs } from "./tabs";
import { PageLink } from "@/ui/PageLink";
import { backupAlarm, backupWords } from "@/features/people/backupWords";
import type { BackupState } from "@/server/session/session";
import { Why } from "@/ui/Why";

export const metadata: Metadata = { title: "Round" };

export default async function RoundPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { items, done, season } = await todayRound();
  const chosen = viewQuery(await searchParams);
  const entry = done.find((candidate) => candidate.id === chosen.entry);
  const again = season.garden.loops.find((loop) => loop.id === chosen.again);
  const item = entry || again ? undefined : (items.find((candidate) => candidate.key === chosen.item) ?? items[0]);
  const opened = Boolean(chosen.item ?? chosen.entry ?? chosen.again);
  const stops = stopsOf(items, done);
  const step = nextStep(season);
  const normals = normalsOf(season.garden);
  const measured = normals
    ? await read((db, { gardenId, today }) => recentWeather(db, gardenId, today, MEASURED_WITHIN_DAYS))
    : [];
  const alerts = normals ? weatherAlerts(season, normals, measured, season.plan.today) : [];
  const loopId =
    again?.id ?? (item && subjectOf(item.task).loopId) ?? (entry?.kind === "reading" ? entry.loopId : null);
  const tank = loopId ? await readingView(season, loopId, entry ?? (item && (await readingOf(item)))) : null;
  const store = season.garden.stores.find(
    (candidate) => item?.task.kind === "store" && candidate.id === item.task.storeId,
  );
  return (
    <Station
      title={dayInWords(season.plan.today, "long")}
      facts={<RoundFacts done={done.length} items={items.length} season={season} backup={season.who.backup} />}
      tabs={roundTabs("today")}
    >
      {season.who.role === "keeper" && season.who.backup.problem && (
        <p role="alert" className="no-print mb-4 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
          {season.who.backup.problem}
        </p>
      )}
      <div className="grid gap-x-8 lg:grid-cols-[minmax(0,1fr)_minmax(380px,470px)] print:block">
        <div className={`print-walk ${opened ? "max-lg:hidden" : ""}`}>
          <WeatherAlerts alerts={alerts} />
          {step && <NextStep step={step} />}
          <RoundWalk
            hasStep={step !== null}
            stops={stops}
            chosenKey={item?.key ?? null}
            chosenEntry={entry?.id ?? null}
          />
          <PrintButton label="Print for the clipboard" />
        </div>
        <div className={`print-slip ${opened ? "" : "max-lg:hidden"}`}>
          {again && tank && <ReadAgain key={`again-${again.id}`} tank={tank} />}
          {item && <ItemPanel key={item.key} item={item} tank={tank} store={store ?? null} />}
          {entry && <EntryPanel key={entry.id} entry={entry} tank={tank} />}
        </div>
      </div>
    </Station>
  );
}

function RoundFacts({
  items,
  done,
  season,
  backup,
}: {
  items: number;
  done: number;
  season: Awaited<ReturnType<typeof todayRound>>["season"];
  backup: BackupState;
}) {
  const store = storeInHand(season);
  return (
    <>
      {items} to do, {done} done
      {store && ` · ${store.name} ${quantityText(store.storedL, "volume", season.who.units)}`}
      {store && store.days !== null && (
        <>
          ,{" "}
          <Why
            label="Days in hand"
            how="What the store holds ÷ what the plan's plants drink today."
            inputs={[["drunk today", quantityText(store.needLpd, "volume", season.who.units)]]}
          >
            {counted(store.days, "day")} in hand
          </Why>
        </>
      )}
      {" · "}
      <PageLink href="/people/garden" className={backupAlarm(backup) ? "font-bold text-alarm underline" : ""}>
        {backupWords(backup, season.who.timeZone)}
      </PageLink>
    </>
  );
}
