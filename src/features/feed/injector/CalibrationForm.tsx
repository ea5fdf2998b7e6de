"use client";
import { useState } from "react";
import { calibrate, dialPercent, isFarOff, METER_PLACES, type MeterPlace } from "@/core/feed/calibration";
import type { Loop } from "@/core/garden/garden";
import { formatNumber, quantityText } from "@/core/units/format";
import { useDraft } from "@/features/frame/drafts";
import { useCommand } from "@/features/frame/useCommand";
import { farOffWords } from "@/features/round/words";
import { enterCalibration, undoEntry } from "@/server/round/actions";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { strengthWords } from "./words";

const PLACE_WORDS: Readonly<Record<MeterPlace, string>> = {
  after: "after the injector: it counts stock and water",
  before: "before the injector: it counts water alone",
};

interface Typed {
  readonly setR: QuantityValue;
  readonly stockDrawnL: QuantityValue;
  readonly meteredL: QuantityValue;
  readonly meter: MeterPlace;
}

/** Stock drawn over water metered: what it comes to is shown while it is typed, and kept. */
export function CalibrationForm({ loop }: { readonly loop: Loop }) {
  const units = useUnits();
  const empty: Typed = { setR: loop.ratioR, stockDrawnL: null, meteredL: null, meter: "after" };
  const [typed, setTyped, forget] = useDraft<Typed>(`calibration:${loop.id}`, empty);
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  const { run, busy } = useCommand(enterCalibration, {
    done: "Calibration kept",
    undo: (entryId) => undoEntry({ entryId }),
  });
  const change = (next: Partial<Typed>) => {
    setTyped((all) => ({ ...all, ...next }));
    setErrors({});
  };
  const figures = wholeRun(typed, loop);
  const found = figures && calibrate(figures);
  const farOff = found !== null && isFarOff(found);
  const save = async (sure: boolean) => {
    const problems = Object.fromEntries(
      [
        ["setR", quantityProblem(typed.setR, "Ratio", "ratio", units)],
        ["stockDrawnL", quantityProblem(typed.stockDrawnL, "Stock drawn", "dose", units)],
        ["meteredL", quantityProblem(typed.meteredL, "Water metered", "volume", units)],
      ].filter((pair): pair is [string, string] => pair[1] !== undefined),
    );
    if (typeof typed.setR === "number" && (typed.setR < 1 || typed.setR > 2000))
      problems.setR = `1 to ${formatNumber(typed.setR)} is no ratio; it must be from 1 to 2000`;
    if (typeof typed.stockDrawnL === "number" && typed.stockDrawnL < 0)
      problems.stockDrawnL = "Stock drawn cannot be under 0";
    if (typeof typed.meteredL === "number" && (typed.meteredL < 0.1 || typed.meteredL > 1e6))
      problems.meteredL = `Water metered is ${quantityText(typed.meteredL, "volume", units)}; it must be at least ${quantityText(0.1, "volume", units)}`;
    if (!figures && Object.keys(problems).length === 0)
      problems.stockDrawnL = "More stock was drawn than flowed out: check mL and litres";
    setErrors(problems);
    if (Object.keys(problems).length > 0 || (farOff && !sure)) return;
    const { setR, stockDrawnL, meteredL, meter } = figures!;
    const result = await run({ loopId: loop.id, setR, stockDrawnL, meteredL, meter, sure });
    if (result.ok) {
      forget();
      setTyped(empty);
    } else setErrors(Object.keys(result.fields).length > 0 ? result.fields : { stockDrawnL: result.message });
  };
  return (
    <form
      className="space-y-3"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save(false);
      }}
    >
      <div className="grid gap-x-4 gap-y-3 sm:grid-cols-3">
        <Field label="Set to, 1 to" hint={`1:${formatNumber(loop.ratioR, 1)} wanted`} error={errors.setR}>
          {(aria) => (
            <QuantityInput {...aria} dimension="ratio" value={typed.setR} onValue={(setR) => change({ setR })} />
          )}
        </Field>
        <Field label="Stock drawn" hint="from a jug" error={errors.stockDrawnL}>
          {(aria) => (
            <QuantityInput
              {...aria}
              className="sign !text-2xl"
              dimension="dose"
              value={typed.stockDrawnL}
              onValue={(stockDrawnL) => change({ stockDrawnL })}
            />
          )}
        </Field>
        <Field label="Water metered" hint="once it runs steadily" error={errors.meteredL}>
          {(aria) => (
            <QuantityInput
              {...aria}
              className="sign !text-2xl"
              dimension="volume"
              value={typed.meteredL}
              onValue={(meteredL) => change({ meteredL })}
            />
          )}
        </Field>
      </div>
      <Field label="The meter stands">
        {(aria) => (
          <select
            {...aria}
            className="input"
            value={typed.meter}
            onChange={(event) => change({ meter: event.target.value as MeterPlace })}
          >
            {METER_PLACES.map((place) => (
              <option key={place} value={place}>
                {PLACE_WORDS[place]}
              </option>
            ))}
          </select>
        )}
      </Field>
      {found && (
        <div aria-live="polite" className="border-l-[6px] border-rule px-3 py-1">
          {found.actualR === null ? (
            <p className="font-bold text-alarm">
              No stock was drawn: it does not dose. Look for air in the suction hose, a clogged foot filter, too little
              flow.
            </p>
          ) : (
            <>
              <p className="text-xl">
                It gives <b className="sign text-3xl">1:{formatNumber(found.actualR, 1)}</b>, {strengthWords(found)}.
              </p>
              {found.verdict !== "right" && <Setting loop={loop} correctedR={found.correctedR!} />}
            </>
          )}
        </div>
      )}
      {farOff && (
        <div role="alert" className="border-l-[6px] border-feed bg-feed-pale p-3">
          <p className="font-bold">{farOffWords(found.strength)}</p>
          <Button className="mt-2" disabled={busy} onClick={() => void save(true)}>
            It is right: keep it
          </Button>
        </div>
      )}
      {!farOff && (
        <Button look="go" type="submit" disabled={busy}>
          Keep this calibration
        </Button>
      )}
    </form>
  );
}

/** Which setting gives what is wanted, taken that it errs in the same proportion there. */
function Setting({ loop, correctedR }: { readonly loop: Loop; readonly correctedR: number }) {
  const [least, greatest] = [loop.injectorLeastR, loop.injectorGreatestR];
  const isPossible = (least === null || correctedR >= least) && (greatest === null || correctedR <= greatest);
  if (!isPossible)
    return (
      <p className="font-bold text-alarm">
        1:{formatNumber(correctedR, 0)} would put it right, which is outside its settings
        {least !== null && ` (1:${formatNumber(least)}`}
        {greatest !== null && `${least === null ? " (" : " to "}1:${formatNumber(greatest)}`}
        {(least !== null || greatest !== null) && ")"}: have its seals looked at, or change how strong the stock is.
      </p>
    );
  return (
    <p>
      Set it to <b>1:{formatNumber(correctedR, 0)}</b> ({formatNumber(dialPercent(correctedR, loop.ratioConvention), 2)}{" "}
      on a dial marked in percent), and calibrate once more.
    </p>
  );
}

/** What was typed as a run; null while something is missing or cannot be. */
function wholeRun({ setR, stockDrawnL, meteredL, meter }: Typed, loop: Loop) {
  if (typeof setR !== "number" || typeof stockDrawnL !== "number" || typeof meteredL !== "number") return null;
  if (setR < 1 || setR > 2000 || meteredL < 0.1 || meteredL > 1e6 || stockDrawnL < 0) return null;
  if (stockDrawnL > (meter === "after" ? meteredL : 1e5)) return null;
  return { wantedR: loop.ratioR, setR, convention: loop.ratioConvention, stockDrawnL, meteredL, meter };
}
