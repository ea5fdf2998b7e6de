"use client";
import { useFormContext, useWatch } from "react-hook-form";
import type { SaltLot } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { DayInput } from "@/ui/DayInput";
import type { Day } from "@/core/units/day";

type Lot = Pick<SaltLot, "name" | "receivedOn" | "openedOn" | "usedUpOn">;
const DAYS = [
  ["receivedOn", "came on"],
  ["openedOn", "opened on"],
  ["usedUpOn", "used up on"],
] as const;

/** The bags and cans of a salt: stocks say which one they were mixed from. */
export function SaltLots({ today }: { readonly today: Day }) {
  const { control, setValue, formState } = useFormContext();
  const lots = (useWatch({ control, name: "lots" }) ?? []) as readonly Lot[];
  const set = (next: readonly Lot[]) => setValue("lots", next, { shouldDirty: true });
  const change = (at: number, part: Partial<Lot>) =>
    set(lots.map((lot, index) => (index === at ? { ...lot, ...part } : lot)));
  const wrong = messageIn(formState.errors.lots);
  return (
    <fieldset className="mt-3 border-t border-rule pt-2">
      <legend className="sign text-xl">Lots</legend>
      {lots.length === 0 && (
        <p className="text-sm text-soft">None kept. With a lot, a batch of stock says what it was made of.</p>
      )}
      <ul className="space-y-3">
        {lots.map((lot, at) => (
          <li key={at} className="grid grid-cols-2 gap-2 border-b border-rule pb-3">
            <label className="text-sm font-bold">
              Lot, as on the bag
              <input className="input" value={lot.name} onChange={({ target }) => change(at, { name: target.value })} />
            </label>
            {DAYS.map(([name, words]) => (
              <label key={name} className="text-sm font-bold">
                {words}
                <DayInput bare value={lot[name]} onValue={(day) => change(at, { [name]: day })} />
              </label>
            ))}
            <Button
              look="quiet"
              className="justify-self-start"
              onClick={() => set(lots.filter((_, index) => index !== at))}
            >
              Remove this lot
            </Button>
          </li>
        ))}
      </ul>
      {wrong && (
        <p role="alert" className="mt-1 text-sm font-bold text-alarm">
          {wrong}
        </p>
      )}
      <Button
        className="mt-2"
        onClick={() => set([{ name: "", receivedOn: today, openedOn: null, usedUpOn: null }, ...lots])}
      >
        A new lot came
      </Button>
    </fieldset>
  );
}

/** The first message within what a list of parts is told to be wrong with. */
function messageIn(errors: unknown): string | undefined {
  if (typeof errors !== "object" || errors === null) return undefined;
  if ("message" in errors && typeof errors.message === "string") return errors.message;
  return Object.values(errors).map(messageIn).find(Boolean);
}
