"use client";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { enterStore, undoEntry } from "@/server/round/actions";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, quantityProblem, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { quantityText } from "@/core/units/format";
import { useDraft } from "@/features/frame/drafts";

/** Takes the level of a store. */
export function StoreForm({ store }: { store: { id: number; name: string; capacityL: number; storedL: number } }) {
  const router = useRouter();
  const units = useUnits();
  const [storedL, setStoredL, forget] = useDraft<QuantityValue>(`store:${store.id}`, null);
  const [error, setError] = useState<string>();
  const { run, busy } = useCommand(enterStore, {
    done: `${store.name} read`,
    undo: (entryId) => undoEntry({ entryId }),
  });
  return (
    <form
      className="mt-4 space-y-3"
      noValidate
      onSubmit={async (event) => {
        event.preventDefault();
        const problem = quantityProblem(storedL, "Level", "volume", units);
        setError(problem);
        if (problem) return;
        const result = await run({ storeId: store.id, storedL });
        if (result.ok) {
          forget();
          router.push("/round", { scroll: false });
        } else setError(result.fields.storedL ?? result.message);
      }}
    >
      <Field
        label="In store now"
        hint={`was ${quantityText(store.storedL, "volume", units)} of ${quantityText(store.capacityL, "volume", units)}; litres or m³`}
        error={error}
      >
        {(aria) => (
          <QuantityInput {...aria} className="sign !text-2xl" value={storedL} onValue={setStoredL} dimension="volume" />
        )}
      </Field>
      <Button look="go" type="submit" disabled={busy}>
        Save
      </Button>
    </form>
  );
}
