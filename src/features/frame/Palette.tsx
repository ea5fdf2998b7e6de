"use client";
import { usePageRouter } from "@/ui/PageLink";
import { Command } from "cmdk";
import { Dialog } from "radix-ui";
import { useEffect, useMemo, useState } from "react";
import { may } from "@/core/people/rights";
import type { Named } from "./named";
import { openOn } from "./drafts";
import { chooseLight, LIGHTS } from "@/ui/light";
import { ACTS, SHEETS } from "./ways";
import { useWho } from "./who";

const KIND_WORDS: Readonly<Record<Named["kind"], string>> = {
  today: "today",
  place: "place",
  water: "water",
  feed: "feed",
  crop: "crop",
  batch: "batch",
  order: "order",
  person: "person",
};
const MOST_SHOWN = 40;

/** Finds anything and does anything, by its name: Ctrl-K or `/`. */
export function Palette({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-50 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed left-1/2 top-[8vh] z-[55] w-[min(40rem,calc(100vw-1.5rem))] -translate-x-1/2 border-2 border-ink bg-ground shadow-lg"
        >
          <Dialog.Title className="sr-only">Find or do</Dialog.Title>
          <Finder onClose={onClose} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

interface Entry {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly kind: string;
  readonly run: () => void;
}

function Finder({ onClose }: { onClose: () => void }) {
  const router = usePageRouter();
  const { role } = useWho();
  const [named, setThings] = useState<readonly Named[] | null>(null);
  const [failed, setFailed] = useState(false);
  const [words, setWords] = useState("");
  useEffect(() => {
    const stop = new AbortController();
    fetch("/find", { signal: stop.signal })
      .then((answer) =>
        answer.ok ? (answer.json() as Promise<Named[]>) : Promise.reject(new Error(answer.statusText)),
      )
      .then(setThings)
      .catch(() => !stop.signal.aborted && setFailed(true));
    return () => stop.abort();
  }, []);
  const entries = useMemo<readonly Entry[]>(() => {
    const go = (href: string, open?: readonly [string, unknown]) => () => {
      router.push(href);
      if (open) openOn(open[0], open[1], href);
    };
    return [
      ...SHEETS.map(({ href, name, about }) => ({ id: `go ${href}`, name, about, kind: "go to", run: go(href) })),
      ...ACTS.filter(({ right }) => may(role, right)).map(({ name, href, open }) => ({
        id: `do ${name}`,
        name,
        about: "",
        kind: "do",
        run: go(href, open),
      })),
      ...LIGHTS.map((light) => ({
        id: `light ${light}`,
        name: `Light: ${light}`,
        about: "",
        kind: "do",
        run: () => chooseLight(light),
      })),
      ...(named ?? []).map((thing, index) => ({
        id: `${thing.kind} ${index}`,
        name: thing.name,
        about: thing.about,
        kind: KIND_WORDS[thing.kind],
        run: go(thing.href, thing.open && may(role, "plan") ? thing.open : undefined),
      })),
    ];
  }, [role, router, named]);
  const shown = useMemo(() => best(entries, words), [entries, words]);
  return (
    <Command shouldFilter={false} label="Find or do" loop>
      <Command.Input
        value={words}
        onValueChange={setWords}
        autoFocus
        placeholder="Find anything, do anything …"
        className="sign w-full border-b-2 border-ink bg-sheet px-4 py-3 text-2xl outline-none placeholder:text-soft"
      />
      <Command.List className="max-h-[60vh] overflow-y-auto p-2">
        {shown.length === 0 && (
          <p className="px-2 py-3 text-soft">
            {named === null && !failed ? "Searching …" : "Nothing here has this name."}
          </p>
        )}
        {failed && (
          <p className="px-2 py-1 text-alarm">The names in the garden could not be loaded; pages can still be found.</p>
        )}
        {shown.map((entry) => (
          <Command.Item
            key={entry.id}
            value={entry.id}
            onSelect={() => {
              onClose();
              entry.run();
            }}
            className="flex min-h-11 cursor-pointer items-baseline gap-3 px-2 py-1.5 data-[selected=true]:bg-ink data-[selected=true]:text-ground"
          >
            <span className="w-16 shrink-0 text-sm opacity-80">{entry.kind}</span>
            <span className="sign min-w-0 text-lg">{entry.name}</span>
            <span className="min-w-0 flex-1 truncate text-right text-sm opacity-80">{entry.about}</span>
          </Command.Item>
        ))}
      </Command.List>
    </Command>
  );
}

/** Entries that hold every word, those that begin with the first one before the others. */
export function best<E extends { readonly name: string; readonly about: string; readonly kind: string }>(
  entries: readonly E[],
  words: string,
): E[] {
  const wanted = words.toLowerCase().split(/\s+/u).filter(Boolean);
  if (wanted.length === 0) return entries.slice(0, MOST_SHOWN);
  const scored = entries.flatMap((entry) => {
    const name = entry.name.toLowerCase();
    const all = `${name} ${entry.about} ${entry.kind}`.toLowerCase();
    if (!wanted.every((word) => all.includes(word))) return [];
    const score = name.startsWith(wanted[0]!) ? 0 : wanted.every((word) => name.includes(word)) ? 1 : 2;
    return [{ entry, score }];
  });
  return scored
    .sort((a, b) => a.score - b.score)
    .slice(0, MOST_SHOWN)
    .map(({ entry }) => entry);
}
