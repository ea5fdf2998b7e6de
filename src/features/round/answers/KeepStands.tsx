"use client";
import { useState } from "react";
import { PLACE_KIND_NAMES, type PlaceKind, type Setup } from "@/core/garden/setup/told";
import { makeSetup } from "@/server/place/setup";
import type { AnswerContext } from "./context";
import { Keep } from "./Keep";

/** Makes the stands of an answer, in a house that is there or in a new place. */
export function KeepStands({
  context,
  isGood,
  size,
  setup,
}: {
  readonly context: AnswerContext;
  readonly isGood: boolean;
  /** A house that the answer is about; without one, what stands there says how large a place it takes. */
  readonly size: { readonly lengthM: number; readonly widthM: number } | null;
  readonly setup: (place: Setup["place"]) => Setup;
}) {
  const { garden } = context;
  const [chosen, setWhere] = useState<string | null>(null);
  const where = chosen ?? (garden?.houses[0] && !size ? `house ${garden.houses[0].id}` : "film tunnel");
  const houseId = /^house (\d+)$/u.exec(where)?.[1];
  return (
    <Keep
      garden={garden}
      isGood={isGood}
      action={makeSetup}
      input={() =>
        setup(
          houseId
            ? { houseId: Number(houseId) }
            : { kind: where as PlaceKind, name: "", lengthM: null, widthM: null, ...size },
        )
      }
      goTo={(made) => `/place?house=${made.houseId}`}
    >
      <label className="mb-2 block">
        <span className="text-sm font-bold">Keep it in</span>
        <select className="input mt-1" value={where} onChange={(event) => setWhere(event.target.value)}>
          {garden?.houses.map(({ id, name }) => (
            <option key={id} value={`house ${id}`}>
              {name}
            </option>
          ))}
          {PLACE_KIND_NAMES.map((kind) => (
            <option key={kind} value={kind}>
              a new {kind}, {size ? "of this size" : "as large as it takes"}
            </option>
          ))}
        </select>
      </label>
    </Keep>
  );
}
