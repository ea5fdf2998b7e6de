"use client";
import type { Amount } from "@/core/round/types";
import { Field } from "@/ui/Field";

/** What a tick says of them; nothing where none was chosen. */
export function chosenLots(lots: Readonly<Record<number, string>>) {
  const chosen = Object.entries(lots).map(([saltId, lot]) => ({ saltId: Number(saltId), lot }));
  return chosen.length > 0 ? { lots: chosen } : {};
}

/** Which bag each salt is weighed from, where there is a choice. */
export function LotChoice({
  amounts,
  lots,
  onLot,
}: {
  readonly amounts: readonly Amount[];
  readonly lots: Readonly<Record<number, string>>;
  readonly onLot: (saltId: number, lot: string) => void;
}) {
  return amounts.map(({ of, name, lots: there = [] }) =>
    of.kind === "salt" && there.length > 1 ? (
      <div key={of.saltId} className="mb-3">
        <Field label={`Lot of ${name}`}>
          {(aria) => (
            <select
              {...aria}
              className="input"
              value={lots[of.saltId] ?? there[0]}
              onChange={({ target }) => onLot(of.saltId, target.value)}
            >
              {there.map((lot) => (
                <option key={lot}>{lot}</option>
              ))}
            </select>
          )}
        </Field>
      </div>
    ) : null,
  );
}
