"use client";
import { useEffect, useRef } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { largestFree } from "@/core/place/layout/fillHouse";
import { exampleIn } from "@/core/place/layout/houseOptions";
import { standFootprint } from "@/core/place/standLayout";
import { STAND_KINDS, STAND_MODELS, type StandKind, type StandSpec } from "@/core/place/kinds";
import type { House, PoolRow, Stand } from "@/server/place/queries";
import { standSchema } from "@/server/place/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";
import type { PlanStore } from "./plan/planStore";
import { ZonesForRate } from "./ZonesForRate";
import { tryCounts } from "./tryCounts";
import { MEASURE_FIELDS } from "./standFields";
import { inUnits } from "@/core/units/told";
import { useUnits } from "@/ui/units";

export interface StandFormProps {
  readonly stand: Stand | null;
  readonly house: House;
  readonly others: readonly Stand[];
  readonly pools: readonly PoolRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly store: PlanStore;
  readonly onDone: () => void;
}

/** A stand by its measures, with what they come to while they are typed. */
export function StandForm({ stand, house, others, pools, loops, store, onDone }: StandFormProps) {
  const fields: readonly FieldSpec[] = [
    { name: "name", label: "Name", type: "text" },
    {
      name: "spec.kind",
      label: "Kind",
      type: "choice",
      options: STAND_KINDS.map((kind) => ({ value: kind, label: STAND_MODELS[kind].words.name })),
    },
    {
      name: "poolId",
      label: "Serves",
      type: "choice",
      options: pools.map((pool) => ({ value: pool.id, label: pool.name })),
    },
    {
      name: "loopId",
      label: "Watered by",
      type: "choice",
      options: [
        { value: null, label: "hand" },
        ...loops.map((loop) => ({ value: loop.id, label: `${loop.name} loop` })),
      ],
    },
    ...MEASURE_FIELDS,
    { name: "xM", label: "From the left of the house", type: "quantity", dimension: "length" },
    { name: "yM", label: "From its top", type: "quantity", dimension: "length" },
    { name: "turned", label: "Turned a quarter", type: "switch" },
  ];
  const defaults = stand
    ? { id: stand.id, version: stand.version, houseId: stand.houseId, poolId: stand.poolId, loopId: stand.loopId, name: stand.name, xM: stand.xM, yM: stand.yM, turned: stand.turned, spec: stand.spec }
    : { id: null, version: null, houseId: house.id, poolId: pools[0]?.id ?? null, loopId: null, name: "", turned: false, ...startIn(house, others, "channel-bank") }; // prettier-ignore
  return (
    <EntityForm
      schema={standSchema}
      fields={fields}
      defaults={defaults}
      action={store.saveStand}
      place={store.name}
      saved="Stand saved"
      onDone={onDone}
      aside={
        stand && (
          <RemoveButton
            what={stand.name}
            action={(input) => store.removeStand({ ...(input as { id: number }), version: stand.version })}
            id={stand.id}
            onDone={onDone}
          />
        )
      }
    >
      <KindExample house={house} others={others} fresh={stand === null} />
      <ZonesForRate />
      <CountsSoFar />
    </EntityForm>
  );
}

/** A kind's worked example where there is room for it, made smaller when it has to be. */
function startIn(house: House, others: readonly Stand[], kind: StandKind) {
  const room = largestFree(house, others.map(standFootprint), 0.3);
  return (room && exampleIn(room, kind)) ?? { xM: 0, yM: 0, spec: STAND_MODELS[kind].example as StandSpec };
}

/** Changing the kind brings that kind's worked example; measures of the kind before mean nothing there. */
function KindExample({ house, others, fresh }: { house: House; others: readonly Stand[]; fresh: boolean }) {
  const { control, setValue } = useFormContext();
  const kind = useWatch({ control, name: "spec.kind" }) as StandKind;
  const last = useRef(kind);
  useEffect(() => {
    if (kind === last.current) return;
    last.current = kind;
    const start = startIn(house, others, kind);
    setValue("spec", start.spec, { shouldValidate: false });
    if (!fresh) return;
    setValue("xM", start.xM, { shouldValidate: false });
    setValue("yM", start.yM, { shouldValidate: false });
  }, [kind, setValue, house, others, fresh]);
  return <p className="mb-2 text-soft">{STAND_MODELS[kind]?.words.about}</p>;
}

function CountsSoFar() {
  const { control } = useFormContext();
  const values = useWatch({ control, name: "spec" }) as StandSpec;
  const units = useUnits();
  const counts = tryCounts(values);
  if (!counts) return <p className="text-soft">With complete measures the count stands here.</p>;
  return (
    <div className="border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
      <p>
        <span className="figure">{counts.sites}</span> sites: {counts.lines} × {counts.sitesPerLine}
      </p>
      {counts.warnings.map((warning) => (
        <p key={warning} className="text-sm">
          {inUnits(warning, units)}
        </p>
      ))}
    </div>
  );
}
