"use client";
import { Check, Minus } from "lucide-react";
import { PageLink } from "@/ui/PageLink";
import { useRouter } from "next/navigation";
import type { RoundItem, RoundKind } from "@/core/round/types";
import type { FirstEntry } from "@/core/round/log";
import { tickItem, undoEntry } from "@/server/round/actions";
import { Quantity } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { Empty } from "@/ui/Empty";
import type { WalkStop } from "./stops";
import { useClock, useMay } from "@/features/frame/who";
import { entryFigures, entryTitle, stopName, taskFigure, taskTitle } from "./words";
import { asksFirst, hasUnitsLeft, rightOf } from "./settling";

/** The walk: a pipe down the page with a joint for each stop, and under it what is to be done there. */
export function RoundWalk({
  stops,
  chosenKey,
  chosenEntry,
  hasStep = false,
}: {
  stops: readonly WalkStop[];
  /** The next step of a young garden stands above: that there is nothing to do would be no help. */
  hasStep?: boolean;
  chosenKey: string | null;
  chosenEntry: number | null;
}) {
  if (stops.length === 0 && hasStep) return null;
  if (stops.length === 0)
    return (
      <Empty
        title="Nothing to do today"
        example="Sowings, moves, readings and pickings come here by themselves, from the plan under Batches and the tanks under Water."
      />
    );
  const present = stops.find((stop) => stop.items.some((item) => item.key === chosenKey));
  return (
    <ol className="relative pl-11">
      <li aria-hidden className="absolute bottom-2 left-[11px] top-3 w-2 bg-water" />
      {stops.map((stop) => (
        <li key={stop.stop.key} className="relative mb-3 break-inside-avoid">
          <Joint done={stop.items.length === 0} present={stop === present} />
          <h2 className="border-b border-rule pb-1 text-2xl">
            {stopName(stop.stop)}{" "}
            <span className="text-base font-medium text-soft">
              {stop.done.length} of {stop.done.length + stop.items.length}
            </span>
          </h2>
          <ul>
            {stop.items.map((item) => (
              <ItemRow key={item.key} item={item} chosen={item.key === chosenKey} />
            ))}
            {stop.done.map((entry) => (
              <DoneRow key={entry.id} entry={entry} chosen={entry.id === chosenEntry} />
            ))}
          </ul>
        </li>
      ))}
    </ol>
  );
}

function Joint({ done, present }: { done: boolean; present: boolean }) {
  return (
    <svg viewBox="0 0 30 30" aria-hidden className="absolute -left-11 top-0 size-[30px]">
      <circle
        cx="15"
        cy="15"
        r="11"
        strokeWidth="4"
        className={done ? "fill-leaf stroke-water" : present ? "fill-ink stroke-water" : "fill-sheet stroke-water"}
      />
      {done && <path d="m10 15 4 4 7-8" fill="none" className="stroke-on-strong" strokeWidth="3" />}
    </svg>
  );
}

/** What is entered for items that have no figure of their own. */
const FIGURE_HINT: Readonly<Partial<Record<RoundKind, string>>> = {
  reading: "strength · pH · temperature",
  "bring-back": "slip",
  store: "level",
};

function ItemRow({ item, chosen }: { item: RoundItem; chosen: boolean }) {
  const router = useRouter();
  const { task } = item;
  const title = taskTitle(task);
  const figure = taskFigure(task);
  const { run, busy } = useCommand(tickItem, {
    done: `Done: ${title}`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  const { time } = useClock();
  const mayTick = useMay(rightOf(task.kind));
  const opensFirst = asksFirst(item) || hasUnitsLeft(task);
  const open = `/round?item=${encodeURIComponent(item.key)}`;
  const tick = () => (opensFirst ? router.push(open) : void run({ key: item.key, actual: null, note: "" }));
  return (
    <li
      className={`flex items-center gap-3 border-b border-rule ${chosen ? "bg-rule/60 outline-4 outline-rule/60 print:bg-transparent print:outline-0" : ""}`}
    >
      <button
        type="button"
        role="checkbox"
        aria-checked={false}
        aria-label={`Done: ${title}`}
        disabled={busy || !mayTick}
        onClick={tick}
        className="grid size-11 shrink-0 place-items-center lg:h-9"
      >
        <span className={`block size-6 rounded border-2 ${mayTick ? "border-ink bg-sheet" : "border-rule"}`} />
      </button>
      <PageLink
        href={open}
        scroll={false}
        aria-current={chosen ? "true" : undefined}
        className="flex min-h-12 min-w-0 flex-1 lg:min-h-9 items-center justify-between gap-3 py-1.5 lg:py-0.5"
      >
        <span className="min-w-0">
          <span className={chosen ? "font-bold" : ""}>{unbroken(title)}</span>
          {item.ageDays > 0 && (
            <span className="ml-2 whitespace-nowrap text-sm font-bold text-feed">
              {item.ageDays === 1 ? "since yesterday" : `${item.ageDays} days late`}
            </span>
          )}
        </span>
        <span className="figure shrink-0 text-right">
          {figure ? (
            <Quantity {...figure} />
          ) : (
            <small>{item.from ? `from ${time(item.from)}` : FIGURE_HINT[task.kind]}</small>
          )}
        </span>
      </PageLink>
    </li>
  );
}

/** Ranges of lines are not broken at the end of a row: word joiners around their dash. */
function unbroken(title: string): string {
  return title.replaceAll(/(\d)–(?=\d)/gu, "$1\u2060–\u2060");
}

function DoneRow({ entry, chosen }: { entry: FirstEntry; chosen: boolean }) {
  const skipped = entry.kind === "skip";
  const done = entryFigures(entry.what).find(({ name }) => name === "done");
  return (
    <li className={`flex items-center gap-3 border-b border-rule text-soft ${chosen ? "bg-rule/60" : ""}`}>
      <span className="grid size-11 shrink-0 place-items-center lg:h-9">
        <span
          className={`grid size-6 place-items-center rounded ${skipped ? "border-2 border-soft" : "bg-leaf text-on-strong"}`}
        >
          {skipped ? (
            <Minus aria-hidden className="size-4" />
          ) : (
            <Check aria-hidden className="size-5" strokeWidth={3} />
          )}
        </span>
      </span>
      <PageLink
        href={`/round?entry=${entry.id}`}
        scroll={false}
        className="flex min-h-11 min-w-0 flex-1 lg:min-h-9 items-center justify-between gap-3"
      >
        <span>
          {entryTitle(entry.what)}
          <span className="sr-only">{skipped ? ", skipped" : ", done"}</span>
        </span>
        <span className="figure !text-lg">
          {skipped
            ? "skipped"
            : done && (
                <Quantity
                  value={done.value}
                  dimension={done.dimension}
                  word={done.label === "done" ? undefined : done.label}
                />
              )}
        </span>
      </PageLink>
    </li>
  );
}
