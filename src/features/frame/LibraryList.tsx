"use client";
import { useId, useState } from "react";
import type { Action } from "@/server/session/result";
import { Button } from "@/ui/Button";
import { useCommand } from "./useCommand";

/** Something that ships with Seed Round and can be taken over. */
export interface LibraryItem {
  readonly name: string;
  readonly about: string;
  /** Where its figures are from. */
  readonly from: string;
}

/** The shipped library: searched by typing, taken over with one press, changed afterwards like one's own. */
export function LibraryList({
  items,
  there,
  action,
}: {
  readonly items: readonly LibraryItem[];
  /** Names that the garden has already. */
  readonly there: readonly string[];
  readonly action: Action<number>;
}) {
  const id = useId();
  const [sought, setSought] = useState("");
  const { run, busy } = useCommand(action, { done: "Added" });
  const words = sought.toLowerCase().split(/\s+/u).filter(Boolean);
  const found = items.filter(({ name, about }) =>
    words.every((word) => `${name} ${about}`.toLowerCase().includes(word)),
  );
  return (
    <>
      <label htmlFor={id} className="mb-1 block text-sm font-bold">
        Search
      </label>
      <input
        id={id}
        type="search"
        className="input"
        autoComplete="off"
        value={sought}
        onChange={(event) => setSought(event.target.value)}
      />
      <ul className="mt-3" aria-label="Library">
        {found.map(({ name, about, from }) => (
          <li key={name} className="flex items-start justify-between gap-3 border-b border-rule py-2">
            <div className="min-w-0">
              <h3 className="text-xl">{name}</h3>
              <p>{about}</p>
              <p className="text-sm text-soft">{from}</p>
            </div>
            <Button
              className="shrink-0"
              disabled={busy}
              aria-label={`Add ${name}`}
              onClick={() => void run({ library: name })}
            >
              {there.includes(name) ? "Add again" : "Add"}
            </Button>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="mt-3 text-soft">Nothing of that name; one of your own can be entered.</p>}
    </>
  );
}
