"use client";
import type { PlanInput } from "@/core/batches/types";
import { useDraft } from "@/features/frame/drafts";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { PageLink } from "@/ui/PageLink";
import { AlreadyGrowing } from "./AlreadyGrowing";
import { BatchesByHand } from "./BatchesByHand";

type Mode = "one" | "series" | "growing";
const MODES: readonly (readonly [Mode, string])[] = [
  ["one", "One batch"],
  ["series", "A series"],
  ["growing", "Already growing"],
];
export interface AddBatchesProps {
  /** Variety to begin with. */
  readonly first: number | null;
  readonly input: PlanInput;
  readonly sowWeekdays: readonly number[];
  readonly onDone: () => void;
}

/**
 * Three ways to plan by hand: one batch from either end, a series, or what stands there already. What would be added is shown
 * first. What the orders need is planned as a season.
 */
export function AddBatches({ first, input, sowWeekdays, onDone }: AddBatchesProps) {
  const begin = (input.varieties.find(({ id }) => id === first) ?? input.varieties[0]!).id;
  const [{ mode, varietyId }, set, forget] = useDraft<{ mode: Mode; varietyId: number }>(`add-batches:${first ?? ""}`, {
    mode: "one",
    varietyId: begin,
  });
  const done = () => {
    forget();
    onDone();
  };
  const variety = input.varieties.find((candidate) => candidate.id === varietyId) ?? input.varieties[0]!;
  return (
    <div className="space-y-4">
      <div role="radiogroup" aria-label="What to add" className="flex flex-wrap gap-2">
        {MODES.map(([value, words]) => (
          <Button
            key={value}
            role="radio"
            aria-checked={mode === value}
            look={mode === value ? "strong" : "plain"}
            onClick={() => set((all) => ({ ...all, mode: value }))}
          >
            {words}
          </Button>
        ))}
      </div>
      <p className="text-soft">
        For what is ordered,{" "}
        <PageLink href="/batches/plan" className="underline">
          plan the season
        </PageLink>
        : it looks at all crops, their space and water together.
      </p>
      <Field label="Variety">
        {(aria) => (
          <select
            {...aria}
            className="input"
            value={varietyId}
            onChange={(event) => set((all) => ({ ...all, varietyId: Number(event.target.value) }))}
          >
            {input.varieties.map((candidate) => (
              <option key={candidate.id} value={candidate.id}>
                {candidate.name}
              </option>
            ))}
          </select>
        )}
      </Field>
      {mode === "growing" ? (
        <AlreadyGrowing key={varietyId} variety={variety} input={input} onDone={done} />
      ) : (
        <BatchesByHand
          key={`${mode}-${varietyId}`}
          variety={variety}
          input={input}
          sowWeekdays={sowWeekdays}
          series={mode === "series"}
          onDone={done}
        />
      )}
    </div>
  );
}
