"use client";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { MeasureBlank } from "./MeasureBlank";
import { TIMER_MODES, TIMER_MODE_WORDS, TIMER_SENTENCES, type TimerMode } from "./timerBlanks";
import { filledIn } from "./filledIn";
import type { Blanks } from "./useBlanks";

const OPTIONS = TIMER_MODES.map((value) => ({ value, label: TIMER_MODE_WORDS[value] }));

/** When it runs, in blanks: all the time, again and again, or a few times a day. */
export function TimerSentence({
  mode,
  blanks,
  mark = "",
  onMode,
}: {
  readonly mode: TimerMode;
  readonly blanks: Blanks;
  /** Full stop at its end. */
  readonly mark?: "" | ".";
  readonly onMode: (mode: TimerMode) => void;
}) {
  return (
    <>
      <ChoiceBlank name="timer" label="It runs" value={mode} options={OPTIONS} onValue={onMode} />
      {filledIn(TIMER_SENTENCES[mode] + mark, (name) => (
        <MeasureBlank blanks={blanks} name={name} />
      ))}
    </>
  );
}
