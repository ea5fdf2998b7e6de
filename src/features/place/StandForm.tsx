"use client";
import { useEffect, useMemo, useRef } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { STAND } from "@/core/garden/entities/place";
import { formFields } from "@/features/frame/form/entityFields";
import { largestFree } from "@/core/place/layout/fillHouse";
import { exampleIn } from "@/core/place/layout/houseOptions";
import { clashOf } from "@/core/place/houseChecks";
import type { PlacedStand } from "@/core/place/stand";
import { standFootprint } from "@/core/place/standLayout";
import { STAND_KINDS, STAND_MODELS, type StandKind, type StandSpec } from "@/core/place/kinds";
import type { House } from "@/core/garden/garden";
import type { Stand } from "@/core/garden/garden";
import type { GrowingAreaRow } from "@/core/garden/garden";
import { removeStand, saveStand } from "@/server/place/actions";
import { standSchema } from "@/server/place/schema";
import { roundDefaults } from "@/features/frame/form/roundDefaults";
import { formValues } from "@/features/frame/form/formValues";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { RemoveButton } from "@/features/frame/RemoveButton";
import { ZonesForRate } from "./ZonesForRate";
import { tryCounts } from "./tryCounts";
import { MEASURE_FIELDS } from "./standFields";
import { clashWords, standFindingWords } from "./words";
import { useUnits } from "@/ui/units";

export interface StandFormProps {
  readonly stand: Stand | null;
  readonly house: House;
  readonly others: readonly Stand[];
  readonly growingAreas: readonly GrowingAreaRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  /** The stand as it is typed, to be drawn where it will stand; null when there is nothing to draw. */
  readonly onDraft: (draft: PlacedStand | null) => void;
  readonly onDone: () => void;
}

/** A stand by its measures, with what they come to while they are typed. */
export function StandForm({ stand, house, others, growingAreas, loops, onDraft, onDone }: StandFormProps) {
  const fields: readonly FieldSpec[] = [
    { name: "name", label: "Name", type: "text" },
    {
      name: "spec.kind",
      label: "Kind",
      type: "choice",
      options: STAND_KINDS.map((kind) => ({ value: kind, label: STAND_MODELS[kind].words.name })),
    },
    {
      name: "growingAreaId",
      label: "Used for",
      type: "choice",
      options: growingAreas.map((growingArea) => ({ value: growingArea.id, label: growingArea.name })),
    },
    {
      name: "loopId",
      label: "Watered by",
      hint: "a loop is a tank and what it waters",
      type: "choice",
      options: [
        { value: null, label: "hand" },
        ...loops.map((loop) => ({ value: loop.id, label: `${loop.name} loop` })),
      ],
    },
    ...MEASURE_FIELDS,
    ...STAND.fields
      .filter(({ name }) => ["xM", "yM", "turned", "groundM"].includes(name))
      .flatMap((field) => formFields(field).map((one) => ({ ...one, fold: "Where it stands" }))),
  ];
  const defaults = stand
    ? formValues(STAND, stand)
    : formValues(STAND, {
        houseId: house.id,
        growingAreaId: growingAreas[0]?.id ?? null,
        loopId: null,
        name: "",
        turned: false,
        ...startIn(house, others, "channel-bank"),
      });
  return (
    <EntityForm
      form="stand"
      schema={standSchema}
      fields={fields}
      defaults={defaults}
      action={saveStand}
      saved={stand ? `${STAND_MODELS[stand.spec.kind].words.name} saved` : `Added to ${house.name}`}
      onDone={onDone}
      aside={stand && <RemoveButton what={stand.name} action={removeStand} id={stand.id} onDone={onDone} />}
    >
      <KindExample house={house} others={others} fresh={stand === null} />
      <ZonesForRate />
      <SoFar id={stand?.id ?? NEW_STAND} house={house} others={others} onDraft={onDraft} />
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
  const units = useUnits();
  const kind = useWatch({ control, name: "spec.kind" }) as StandKind;
  const last = useRef(kind);
  useEffect(() => {
    if (kind === last.current) return;
    last.current = kind;
    const start = startIn(house, others, kind);
    const { spec } = roundDefaults({ id: null, spec: start.spec }, MEASURE_FIELDS, units);
    setValue("spec", spec, { shouldValidate: false });
    if (!fresh) return;
    setValue("xM", start.xM, { shouldValidate: false });
    setValue("yM", start.yM, { shouldValidate: false });
  }, [kind, setValue, house, others, fresh, units]);
  return <p className="mb-2 text-soft">{STAND_MODELS[kind]?.words.about}</p>;
}

/** A stand that is not saved yet has no id of its own. */
const NEW_STAND = -1;

interface SoFarProps extends Pick<StandFormProps, "house" | "others" | "onDraft"> {
  readonly id: number;
}

/** What was typed so far comes to: sites, what it would run into, and its place on the plan. */
function SoFar({ id, house, others, onDraft }: SoFarProps) {
  const units = useUnits();
  const { control } = useFormContext();
  const values = useWatch({ control }) as Omit<PlacedStand, "id">;
  const counts = tryCounts(values.spec);
  const text = JSON.stringify(values);
  const draft = useMemo(() => draftOf(id, JSON.parse(text) as Omit<PlacedStand, "id">), [id, text]);
  useEffect(() => {
    if (draft) onDraft(draft);
  }, [draft, onDraft]);
  useEffect(() => () => onDraft(null), [onDraft]);
  if (!counts) return <p className="text-soft">The count is shown here once the measures are complete.</p>;
  const clash = draft && clashOf(house, draft, others);
  return (
    <div className={`border-l-[6px] px-3 py-2 ${clash ? "border-alarm bg-alarm-pale" : "border-leaf bg-leaf-pale"}`}>
      <p>
        <span className="figure">{counts.sites}</span> sites: {counts.lines} × {counts.sitesPerLine}
      </p>
      {clash && <p className="font-bold">{clashWords(clash, units)}</p>}
      {counts.warnings.map((warning) => (
        <p key={warning.kind} className="text-sm">
          {standFindingWords(warning, units)}
        </p>
      ))}
    </div>
  );
}

/** Null while a measure is missing or out of its range: what was drawn last stays. */
function draftOf(id: number, { name, spec, xM, yM, turned }: Omit<PlacedStand, "id">): PlacedStand | null {
  if (!tryCounts(spec) || !Number.isFinite(xM) || !Number.isFinite(yM)) return null;
  return { id, name: name.trim() || STAND_MODELS[spec.kind].words.name, spec, xM, yM, turned };
}
