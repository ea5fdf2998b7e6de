"use client";
import { useState, type FormEvent } from "react";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { dayInWords } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { joinBatches, pinBatches, splitBatch } from "@/server/batches/places";
import { Button } from "@/ui/Button";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";

/** Pins a batch, so that no solved season moves or drops it; or lets it go. */
export function PinButton({ batch: { id, pinned } }: { readonly batch: BatchView }) {
  const pin = useCommand(pinBatches, { done: pinned ? "No longer pinned" : "Pinned: no solved season moves it" });
  return (
    <Button
      look="quiet"
      aria-pressed={pinned}
      disabled={pin.busy}
      onClick={() => void pin.run({ ids: [id], pinned: !pinned })}
    >
      {pinned ? "Pinned" : "Pin"}
    </Button>
  );
}

interface PartsProps {
  readonly batch: BatchView;
  readonly onDone: () => void;
  readonly onLeave: () => void;
}

/** Takes plants off into a batch of their own. */
export function SplitForm({ batch, onDone, onLeave }: PartsProps) {
  const most = batch.targetPlants - 1;
  const [plants, setPlants] = useState<QuantityValue>(Math.floor(batch.targetPlants / 2));
  const [isTried, setIsTried] = useState(false);
  const split = useCommand(splitBatch, { done: `${batch.variety} split` });
  const isFine = typeof plants === "number" && Number.isInteger(plants) && plants >= 1 && plants <= most;
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setIsTried(true);
    if (isFine && (await split.run({ id: batch.id, plants })).ok) onDone();
  };
  return (
    <form className="mt-2" noValidate onSubmit={(event) => void send(event)}>
      <Field
        label={`Of its ${batch.targetPlants} plants, into a batch of their own`}
        error={isTried && !isFine ? `A whole number from 1 to ${most}` : undefined}
      >
        {(aria) => <QuantityInput {...aria} autoFocus dimension="count" value={plants} onValue={setPlants} />}
      </Field>
      <div className="mt-2 flex gap-2">
        <Button type="submit" look="strong" disabled={split.busy}>
          Split
        </Button>
        <Button look="quiet" onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </form>
  );
}

/** Puts another batch of the same crop, not sown yet, into this one. */
export function JoinForm({ batch, view, onDone, onLeave }: PartsProps & { readonly view: SeasonView }) {
  const others = view.batches.filter(
    ({ id, varietyId, begun }) => id !== batch.id && varietyId === batch.varietyId && !begun,
  );
  const join = useCommand(joinBatches, { done: `${batch.variety} joined` });
  const nearest = [...others].sort((a, b) => apart(a, batch) - apart(b, batch)).slice(0, 4);
  return (
    <div className="mt-2" role="group" aria-label="Join">
      <p className="text-sm font-bold">
        {nearest.length === 0
          ? "No other batch of this crop is still to be sown in these weeks."
          : "Put into this one; both are sown on the earlier day:"}
      </p>
      <div className="mt-2 flex flex-wrap gap-2">
        {nearest.map((other) => (
          <Button
            key={other.id}
            disabled={join.busy}
            onClick={async () => {
              if ((await join.run({ into: batch.id, from: other.id })).ok) onDone();
            }}
          >
            {dayInWords(other.sowDay)}, {counted(other.targetPlants, "plant")}
          </Button>
        ))}
        <Button look="quiet" onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </div>
  );
}

const apart = (one: BatchView, other: BatchView) => Math.abs(one.sowDay - other.sowDay);
