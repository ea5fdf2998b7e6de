"use client";
import { useMemo, useState } from "react";
import type { CatchCanFact } from "@/core/garden/facts";
import { judgeCatchCans } from "@/core/water/catchCans";
import { dayInWords } from "@/core/units/day";
import { counted, percentText, quantityText } from "@/core/units/format";
import { enterCatchCans, undoEntry } from "@/server/round/actions";
import { useDraft } from "@/features/frame/drafts";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { emittersFound } from "@/features/round/words";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { CanStrip } from "./CanStrip";
import { readCans } from "./readCans";

export interface CatchCansProps {
  readonly standId: number;
  readonly nominalFlowLph: number;
  /** Lines of the stand. */
  readonly lines: number;
  readonly runHoursPerDay: number;
  readonly tests: readonly CatchCanFact[];
}

const percent = (share: number | null) => (share === null ? "–" : percentText(share));

/** Catch-can tests of a stand: entered, judged while they are typed, and kept over time. */
export function CatchCans(props: CatchCansProps) {
  const units = useUnits();
  const { tests } = props;
  return (
    <section className="mt-8">
      <h2 className="text-2xl">Catch cans</h2>
      <p className="mt-1 max-w-prose text-soft">
        Set a can under each emitter of a line, let it run a few minutes, and write down what each caught, from the
        inlet on. What is blocked or blown comes onto the round.
      </p>
      <div className="mt-3 grid gap-x-10 gap-y-6 lg:grid-cols-2">
        <Only right="log">
          <CanForm {...props} />
        </Only>
        <div>
          {tests.length === 0 ? (
            <p className="text-soft">No test yet. One now, and one each season, shows how the lines clog.</p>
          ) : (
            <ul>
              {tests.map((test) => {
                const answer = judgeCatchCans(test);
                const found = emittersFound(answer);
                return (
                  <li key={test.entryId} className="border-b border-rule py-2">
                    <p className="flex flex-wrap items-baseline justify-between gap-x-4">
                      <span>
                        <b>{dayInWords(test.day, "year")}</b>, line {test.line}
                      </span>
                      <span className="sign text-xl">{percent(answer.uniformity.duLowQuarter)} even</span>
                    </p>
                    <CanStrip answer={answer} nominalFlowLph={test.nominalFlowLph} />
                    <p className="text-sm text-soft">
                      Mean {quantityText(answer.uniformity.meanLph, "flow", units)}, {percent(answer.meanToNominal)} of
                      the label. {found ? <b className="text-alarm">{found}</b> : "None blocked or blown."}
                    </p>
                  </li>
                );
              })}
            </ul>
          )}
        </div>
      </div>
    </section>
  );
}

function CanForm({ standId, nominalFlowLph, lines, runHoursPerDay }: CatchCansProps) {
  const units = useUnits();
  const [text, setText, forget] = useDraft<string>(`cans:${standId}`, "");
  const [line, setLine] = useState(1);
  const [minutes, setMinutes] = useState<QuantityValue>(3);
  const [error, setError] = useState<string>();
  const { run, busy } = useCommand(enterCatchCans, { done: "Test kept", undo: (entryId) => undoEntry({ entryId }) });
  const { volumesMl, problem } = useMemo(() => readCans(text), [text]);
  const durationS = typeof minutes === "number" ? minutes * 60 : 0;
  const isWhole = !problem && volumesMl.length >= 4 && durationS >= 10;
  const answer = isWhole ? judgeCatchCans({ volumesMl, durationS, nominalFlowLph, runHoursPerDay }) : null;
  return (
    <form
      className="space-y-3"
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        const wrong = problem ?? quantityProblem(minutes, "Time", "minutes", units);
        setError(wrong);
        if (wrong) return;
        const result = await run({ standId, line, volumesMl, durationS, nominalFlowLph });
        if (result.ok) {
          forget();
          setText("");
        } else setError(Object.values(result.fields)[0] ?? result.message);
      }}
    >
      <div className="flex flex-wrap gap-4">
        <Field label="Line">
          {(aria) => (
            <select {...aria} className="input" value={line} onChange={(event) => setLine(Number(event.target.value))}>
              {Array.from({ length: lines }, (_, at) => (
                <option key={at} value={at + 1}>
                  {at + 1}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label="Time under the emitters">
          {(aria) => <QuantityInput {...aria} value={minutes} onValue={setMinutes} dimension="minutes" />}
        </Field>
      </div>
      <Field label="Caught, mL, from the inlet on" hint="figures with spaces between, or one a line" error={error}>
        {(aria) => (
          <textarea
            {...aria}
            rows={3}
            className="input"
            value={text}
            placeholder="81 79 80 12 78"
            onChange={(event) => {
              setText(event.target.value);
              setError(undefined);
            }}
          />
        )}
      </Field>
      {answer && (
        <div aria-live="polite">
          <CanStrip answer={answer} nominalFlowLph={nominalFlowLph} />
          <p className="mt-1">
            <b>{percent(answer.uniformity.duLowQuarter)} even</b> (lowest quarter ÷ mean),{" "}
            {counted(volumesMl.length, "can")}, mean {quantityText(answer.uniformity.meanLph, "flow", units)},{" "}
            {percent(answer.meanToNominal)} of the label. {emittersFound(answer) || "None blocked or blown"}.
            {answer.lostLpd > 0 && ` Lost at blown ones: ${quantityText(answer.lostLpd, "volume", units)} a day.`}
          </p>
          {answer.underHalfNominal.length > answer.blocked.length && (
            <p className="text-alarm">
              {counted(answer.underHalfNominal.length, "emitter")} give under half of what is on the label: the whole
              line is worn or clogged, or it lacks head.
            </p>
          )}
        </div>
      )}
      <Button look="go" type="submit" disabled={busy}>
        Keep this test
      </Button>
    </form>
  );
}
