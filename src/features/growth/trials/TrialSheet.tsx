"use client";
import { useState } from "react";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { CountTrial } from "./CountTrial";
import { WeightTrial } from "./WeightTrial";

type Sort = "counts" | "weights";
const SORTS: readonly { readonly value: Sort; readonly label: string }[] = [
  { value: "counts", label: "counts: so many of so many" },
  { value: "weights", label: "weights or days, one for each plant" },
];

/** Two lots, varieties or ways side by side: whether they differ by more than chance, and how many plants would show it. */
export function TrialSheet() {
  const [sort, setSort] = useState<Sort>("counts");
  return (
    <div className="max-w-4xl space-y-4">
      <p className="sign text-2xl">
        I compare <ChoiceBlank name="sort" label="What is compared" value={sort} options={SORTS} onValue={setSort} />
      </p>
      {sort === "counts" ? <CountTrial /> : <WeightTrial />}
      <p className="max-w-2xl text-soft">
        A trial tells something of two lots only where all else is the same: sown on one day, in one mix, the trays side
        by side and changed about, and who counts does not know which is which. Say before you begin how many you will
        count, and do not stop early because it looks good.
      </p>
    </div>
  );
}
