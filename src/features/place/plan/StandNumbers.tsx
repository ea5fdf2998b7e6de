"use client";
import { Copy, RotateCw, Trash2 } from "lucide-react";
import { modelOf } from "@/core/place/kinds";
import type { NumberMeasure } from "@/core/place/kinds/model";
import type { Stand } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { CommitField } from "@/ui/CommitField";
import type { PlanEdit } from "./usePlanEdit";

/** The numbers of the chosen stand, to be typed instead of drawn, and what can be done with it. */
export function StandNumbers({ stand, edit, onAll }: { stand: Stand; edit: PlanEdit; onAll: () => void }) {
  const shown = edit.inHand?.id === stand.id ? edit.inHand : stand;
  const { measures, stretch } = modelOf(stand.spec);
  const names = [...new Set([stretch.along.measure, stretch.across.measure, "pitchM", "aisleM"])];
  const own = names.flatMap(
    (name) => measures.find((one): one is NumberMeasure => one.name === name && one.type === "number") ?? [],
  );
  const valueOf = (name: string) => (shown.spec as unknown as Record<string, number>)[name]!;
  return (
    <section aria-label={`Numbers of ${stand.name}`} data-numbers>
      <h2 className="text-3xl">{stand.name}</h2>
      <div className="mt-2 grid grid-cols-2 gap-3">
        <CommitField
          label="From the left"
          dimension="length"
          value={shown.xM}
          onCommit={(xM) => edit.change(stand.id, { xM })}
        />
        <CommitField
          label="From the top"
          dimension="length"
          value={shown.yM}
          onCommit={(yM) => edit.change(stand.id, { yM })}
        />
        {own.map(({ name, label, dimension }) => (
          <CommitField
            key={name}
            label={label}
            dimension={dimension}
            value={valueOf(name)}
            onCommit={(value) => edit.change(stand.id, ({ spec }) => ({ spec: { ...spec, [name]: value } }))}
          />
        ))}
      </div>
      {edit.clash && edit.inHand?.id === stand.id && (
        <p role="alert" className="mt-3 border-l-[6px] border-alarm bg-alarm-pale px-3 py-1.5 font-bold">
          {edit.clash}
        </p>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button disabled={edit.busy} onClick={() => void edit.change(stand.id, { turned: !stand.turned })}>
          <RotateCw aria-hidden className="size-5" /> Turn
        </Button>
        <Button disabled={edit.busy} onClick={() => void edit.duplicate(stand.id)}>
          <Copy aria-hidden className="size-5" /> Duplicate
        </Button>
        <Button disabled={edit.busy} look="alarm" onClick={() => void edit.remove(stand.id)}>
          <Trash2 aria-hidden className="size-5" /> Delete
        </Button>
      </div>
      <Button look="quiet" className="mt-1" onClick={onAll}>
        All its measures
      </Button>
    </section>
  );
}
