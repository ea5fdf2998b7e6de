"use client";
import type { ChangeView, DayColumns, HistoryNames } from "@/server/history/view";
import { useUnits } from "@/ui/units";
import { changedParts, shownWords, titleOf, type Shown } from "./historyWords";

export const doesWords = ({ before, after }: Pick<ChangeView, "before" | "after">) =>
  before === null ? "added" : after === null ? "deleted" : "changed";

interface ChangeWordsProps {
  readonly change: ChangeView;
  readonly names: HistoryNames;
  readonly days: DayColumns;
}

/** A changed row in words: what was done to it, and each field before and after. */
export function ChangeWords({ change, names, days }: ChangeWordsProps) {
  return (
    <>
      <span className="text-soft">{doesWords(change)}</span> <b>{titleOf(change, names)}</b>
      <ChangedFields change={change} names={names} days={days} />
    </>
  );
}

/** Each field of a changed row, before and after. */
export function ChangedFields({ change, names, days }: ChangeWordsProps) {
  const units = useUnits();
  const words = (shown: Shown | null) => shownWords(shown, units);
  return changedParts(change, names, days).map((part) => (
    <span key={part.label} className="ml-3 inline-block">
      {part.label} <s className="text-soft">{words(part.before)}</s> {words(part.after)}
    </span>
  ));
}
