"use client";
import { useCallback, useMemo, useState } from "react";
import type { UnitPreferences } from "@/core/units/dimensions";
import { useKeptOnDevice, writeDraft } from "../drafts";
import { leaveBlank, startBlanks, typeBlank, withTexts, type BlankMeasure, type BlankState } from "./blanks";

/** Blanks of a sentence while they are filled in. */
export interface Blanks extends BlankState {
  readonly measures: readonly BlankMeasure[];
  readonly type: (name: string, text: string) => void;
  readonly leave: (name: string) => void;
}

/**
 * What stands in the blanks of a sentence. What was typed outlives a reload, and signing up.
 *
 * @param key under which the texts are kept on the device; another key begins anew
 * @param first texts to begin with
 */
export function useBlanks(
  key: string,
  measures: readonly BlankMeasure[],
  first: Readonly<Record<string, string>>,
  units: UnitPreferences,
): Blanks {
  const [state, setState] = useState(() => startBlanks(measures, first, units));
  const [shown, setShown] = useState({ key, measures });
  let present = state;
  if (shown.key !== key || shown.measures !== measures) {
    // Another question begins anew; of the same one what was typed stays, as far as it is still asked.
    const begun = startBlanks(measures, first, state.units);
    present = shown.key === key ? withTexts(measures, begun, state.texts) : begun;
    setShown({ key, measures });
    setState(present);
  }
  useKeptOnDevice<Readonly<Record<string, string>>>(key, (kept) => setState((now) => withTexts(measures, now, kept)));
  const type = useCallback(
    (name: string, text: string) =>
      setState((now) => {
        const next = typeBlank(measures, now, name, text);
        writeDraft(key, next.texts);
        return next;
      }),
    [key, measures],
  );
  const leave = useCallback((name: string) => setState((now) => leaveBlank(measures, now, name)), [measures]);
  return useMemo(() => ({ ...present, measures, type, leave }), [present, measures, type, leave]);
}
