"use client";
import { Download } from "lucide-react";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { dayInWords, isoFromDay, type Day } from "@/core/units/day";
import type { Dimension } from "@/core/units/dimensions";
import { quantityText } from "@/core/units/format";
import { type LogFilter } from "@/server/round/queries";
import { isFirst, type FirstEntry, type LogEntry } from "@/core/round/log";
import { LOG_KINDS, type Correction } from "@/core/round/log";
import { buttonClass, Button } from "@/ui/Button";
import { DayInput } from "@/ui/DayInput";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { useUnits } from "@/ui/units";
import { entryFigures, entryPlace, entryTitle } from "./words";
import { useOpened } from "@/features/frame/drafts";
import { Only, useClock, useMay } from "@/features/frame/who";
import { later } from "@/ui/later";

const NoteForm = later(() => import("./NoteForm").then((part) => part.NoteForm));
const CorrectionForm = later(() => import("./CorrectionForm").then((part) => part.CorrectionForm));

type Corrected = LogEntry<Correction>;

/** The logbook: filtered by days, kind and words; figures can be put right, the first ones stay. */
export function Log({
  entries,
  filter,
  problem,
  today,
}: {
  entries: readonly LogEntry[];
  filter: LogFilter;
  problem: string | null;
  today: Day;
}) {
  const [correcting, setCorrecting] = useOpened<number>("correction");
  const [writing, setWriting] = useOpened<boolean>("note");
  const corrections = new Map(
    entries.flatMap((entry): [number, Corrected][] =>
      entry.what.kind === "correction" ? [[entry.correctsId!, { ...entry, what: entry.what }]] : [],
    ),
  );
  const shown = entries.filter(isFirst);
  const corrected = shown.find(({ id }) => id === correcting);
  return (
    <>
      <Filters filter={filter} onNote={() => setWriting(true)} />
      {problem && (
        <p role="alert" className="my-3 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
          {problem}
        </p>
      )}
      {shown.length === 0 ? (
        <Empty
          title="Nothing on these days"
          example="Everything ticked off, read or noted on the round is listed here, with who and when."
        />
      ) : (
        <ol className="mt-2">
          {shown.map((entry, index) => (
            <li key={entry.id}>
              {entry.day !== shown[index - 1]?.day && (
                <h2 className="mt-5 border-b-2 border-ink pb-1 text-xl">{dayInWords(entry.day, "long")}</h2>
              )}
              <EntryRow
                entry={entry}
                correction={corrections.get(entry.id)}
                onCorrect={() => setCorrecting(entry.id)}
              />
            </li>
          ))}
        </ol>
      )}
      <Drawer open={corrected !== undefined} onClose={() => setCorrecting(null)} title="Correct an entry">
        {corrected && (
          <CorrectionForm entry={corrected} figures={entryFigures(corrected.what)} onDone={() => setCorrecting(null)} />
        )}
      </Drawer>
      <Drawer open={writing === true} onClose={() => setWriting(null)} title="Write a note">
        <NoteForm today={today} onDone={() => setWriting(null)} />
      </Drawer>
    </>
  );
}

function EntryRow({
  entry,
  correction,
  onCorrect,
}: {
  entry: FirstEntry;
  correction: Corrected | undefined;
  onCorrect: () => void;
}) {
  const units = useUnits();
  const { time } = useClock();
  const mayLog = useMay("log");
  const figures = entryFigures(entry.what);
  const title = entryTitle(entry.what);
  const place = entryPlace(entry.what);
  const text = (value: number, dimension: Dimension, label: string, name: string) =>
    `${name === "done" ? "" : `${label} `}${quantityText(value, dimension, units)}${name === "done" ? ` ${label}` : ""}`;
  return (
    <div
      className={`grid grid-cols-[3.5rem_1fr] gap-x-3 border-b border-rule py-2 sm:grid-cols-[3.5rem_5rem_1fr_auto] ${entry.undoneAt ? "text-soft line-through" : ""}`}
    >
      <time dateTime={new Date(entry.at).toISOString()}>{time(entry.at)}</time>
      <span className="sign text-base text-water max-sm:hidden">{entry.kind}</span>
      <div className="min-w-0">
        <p>
          {title} {place && !title.startsWith(place) && <span className="text-soft">· {place}</span>}
        </p>
        {figures.length > 0 && (
          <p className="sign text-lg">
            {figures.map(({ name, label, dimension, value }, index) => {
              const right = correction?.what.values[name];
              return (
                <span key={name}>
                  {index > 0 && " · "}
                  {typeof right === "number" ? (
                    <>
                      {text(right, dimension, label, name)}{" "}
                      <s className="text-soft">{quantityText(value, dimension, units)}</s>
                    </>
                  ) : (
                    text(value, dimension, label, name)
                  )}
                </span>
              );
            })}
          </p>
        )}
        {entry.note && <p className="text-soft">{entry.note}</p>}
        {correction && (
          <p className="text-sm text-feed">
            corrected by {correction.personName}: {correction.note}
          </p>
        )}
        {entry.undoneAt && <p className="text-sm no-underline">undone</p>}
      </div>
      <div className="flex items-center gap-2 max-sm:col-start-2">
        <span className="text-sm text-soft">{entry.personName}</span>
        {figures.length > 0 && !entry.undoneAt && !correction && mayLog && (
          <Button
            look="quiet"
            className="no-print !text-base"
            onClick={onCorrect}
            aria-label={`Correct: ${title}, ${dayInWords(entry.day)}`}
          >
            Correct
          </Button>
        )}
      </div>
    </div>
  );
}

function Filters({ filter, onNote }: { filter: LogFilter; onNote: () => void }) {
  const router = useRouter();
  const [search, setSearch] = useState(filter.search ?? "");
  const query = (change: Partial<LogFilter>) => {
    const next = { ...filter, ...change };
    const params = new URLSearchParams({ from: isoFromDay(next.from), to: isoFromDay(next.to) });
    if (next.kind) params.set("kind", next.kind);
    if (next.search) params.set("search", next.search);
    return params.toString();
  };
  const show = (change: Partial<LogFilter>) => router.push(`/round/log?${query(change)}`, { scroll: false });
  return (
    <form
      role="search"
      className="no-print flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        show({ search: search.trim() || null });
      }}
    >
      <label className="text-sm font-bold">
        From
        <DayInput value={filter.from} onValue={(day) => day !== null && show({ from: day })} />
      </label>
      <label className="text-sm font-bold">
        Until
        <DayInput value={filter.to} onValue={(day) => day !== null && show({ to: day })} />
      </label>
      <label className="text-sm font-bold">
        Kind
        <select
          className="input"
          value={filter.kind ?? ""}
          onChange={(event) => show({ kind: LOG_KINDS.find((kind) => kind === event.target.value) ?? null })}
        >
          <option value="">everything</option>
          {LOG_KINDS.map((kind) => (
            <option key={kind}>{kind}</option>
          ))}
        </select>
      </label>
      <label className="text-sm font-bold">
        Words
        <input
          className="input"
          type="search"
          maxLength={80}
          value={search}
          onChange={(event) => setSearch(event.target.value)}
          placeholder="crop, place, name"
        />
      </label>
      <Button type="submit">Find</Button>
      <a className={buttonClass("quiet")} href={`/round/log.csv?${query({})}`} download>
        <Download aria-hidden className="size-5" /> CSV
      </a>
      <Only right="log">
        <Button data-key="n" onClick={onNote}>
          Write a note
        </Button>
      </Only>
    </form>
  );
}
