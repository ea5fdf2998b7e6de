"use client";
import { useEffect, useRef } from "react";
import { useFormContext, useWatch } from "react-hook-form";
import { standCounts } from "@/core/place/standCounts";
import { STAND_KIND_WORDS, type StandKind, type StandSpec } from "@/core/place/stand";
import { removeStand, saveStand } from "@/server/place/actions";
import type { House, PoolRow, Stand } from "@/server/place/queries";
import { standSchema } from "@/server/place/schema";
import { EntityForm } from "@/ui/form/EntityForm";
import type { FieldSpec } from "@/ui/form/fields";
import { RemoveButton } from "@/ui/RemoveButton";
import { STARTING_EXAMPLES } from "./defaults";
import { inUnits } from "@/core/units/told";
import { useUnits } from "@/ui/units";

interface Values {
  readonly spec: StandSpec;
}

const is = (kind: StandKind) => (values: Values) => values.spec.kind === kind;
const channel = is("channel-bank");
const bed = is("drip-beds");
const bucket = is("bucket-line");
const rack = is("tray-rack");
const notRack = (values: Values) => !rack(values);

const spec = (name: string, label: string, dimension: "length" | "smallLength" | "count" | "flow" | "lineFlow" | "volume", when: (values: Values) => boolean, hint?: string): FieldSpec => ({
  name: `spec.${name}`, label, type: "quantity", dimension, when, hint,
}); // prettier-ignore

const MEASURES: readonly FieldSpec[] = [
  spec("lines", "Lines", "count", notRack, "channels, beds or rows"),
  spec("lineLengthM", "Line length", "length", (values) => channel(values) || bed(values)),
  spec("channelWidthM", "Channel width", "smallLength", channel),
  spec("channelDepthM", "Channel depth", "smallLength", channel),
  spec("bedWidthM", "Bed width", "length", bed),
  spec("rows", "Rows in a bed", "count", bed),
  { name: "spec.pattern", label: "Pattern", type: "choice", when: bed, options: [{ value: "square", label: "square" }, { value: "staggered", label: "staggered" }] },
  spec("pitchM", "Pitch, plant to plant", "smallLength", (values) => channel(values) || bed(values)),
  spec("endMarginM", "End margin", "smallLength", (values) => channel(values) || bed(values), "from the end to the first plant"),
  spec("edgeMarginM", "Side margin", "smallLength", bed),
  { name: "spec.holeMm", label: "Hole", type: "quantity", dimension: "bore", when: channel },
  spec("gapM", "Gap between channels", "smallLength", channel),
  spec("linesPerBlock", "Channels between aisles", "count", channel),
  spec("bucketsPerLine", "Buckets in a row", "count", bucket),
  spec("bucketSpacingM", "Bucket spacing", "length", bucket),
  spec("bucketDiameterM", "Bucket diameter", "length", bucket),
  spec("bucketVolumeL", "Bucket volume", "volume", bucket),
  spec("plantsPerBucket", "Plants in a bucket", "count", bucket),
  spec("racks", "Racks", "count", rack),
  spec("shelvesPerRack", "Shelves on each", "count", rack),
  spec("shelfLengthM", "Shelf length", "length", rack),
  spec("shelfWidthM", "Shelf width", "length", rack),
  spec("trayLengthM", "Tray length", "length", rack),
  spec("trayWidthM", "Tray width", "length", rack),
  spec("cellsPerTray", "Cells in a tray", "count", rack, "1 for shoots and fodder"),
  spec("aisleM", "Aisle", "length", () => true),
  spec("linesPerValve", "Lines on one valve", "count", notRack),
  { name: "spec.fallOneIn", label: "Fall, one in", type: "quantity", dimension: "count", when: channel, hint: "1:30 to 1:50 is common" },
  spec("lineFlowLph", "Flow of a channel", "lineFlow", channel),
  spec("lateralsPerBed", "Drip lines in a bed", "count", bed),
  spec("emitterSpacingM", "Emitter spacing", "length", bed),
  spec("emittersPerBucket", "Emitters on a bucket", "count", bucket),
  spec("emitterFlowLph", "Emitter flow", "flow", (values) => bed(values) || bucket(values)),
]; // prettier-ignore

export interface StandFormProps {
  readonly stand: Stand | null;
  readonly house: House;
  readonly pools: readonly PoolRow[];
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly onDone: () => void;
}

/** A stand by its measures, with what they come to while they are typed. */
export function StandForm({ stand, house, pools, loops, onDone }: StandFormProps) {
  const fields: readonly FieldSpec[] = [
    { name: "name", label: "Name", type: "text" },
    {
      name: "spec.kind",
      label: "Kind",
      type: "choice",
      options: Object.entries(STAND_KIND_WORDS).map(([value, words]) => ({ value, label: words.name })),
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
    ...MEASURES,
    { name: "xM", label: "From the left of the house", type: "quantity", dimension: "length" },
    { name: "yM", label: "From its top", type: "quantity", dimension: "length" },
    { name: "turned", label: "Turned a quarter", type: "switch" },
  ];
  const defaults = stand
    ? { id: stand.id, version: stand.version, houseId: stand.houseId, poolId: stand.poolId, loopId: stand.loopId, name: stand.name, xM: stand.xM, yM: stand.yM, turned: stand.turned, spec: stand.spec }
    : { id: null, version: null, houseId: house.id, poolId: pools[0]?.id ?? null, loopId: null, name: "", xM: 0.5, yM: 0.5, turned: false, spec: STARTING_EXAMPLES["channel-bank"] }; // prettier-ignore
  return (
    <EntityForm
      schema={standSchema}
      fields={fields}
      defaults={defaults}
      action={saveStand}
      saved="Stand saved"
      onDone={onDone}
      aside={stand && <RemoveButton what={stand.name} action={removeStand} id={stand.id} onDone={onDone} />}
    >
      <KindExample />
      <CountsSoFar />
    </EntityForm>
  );
}

/** Changing the kind brings that kind's worked example; measures of the kind before mean nothing there. */
function KindExample() {
  const { control, setValue } = useFormContext();
  const kind = useWatch({ control, name: "spec.kind" }) as StandKind;
  const last = useRef(kind);
  useEffect(() => {
    if (kind === last.current) return;
    last.current = kind;
    setValue("spec", STARTING_EXAMPLES[kind], { shouldValidate: false });
  }, [kind, setValue]);
  return null;
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

function tryCounts(spec: StandSpec) {
  try {
    return standCounts(spec);
  } catch {
    // Half-typed measures are out of range until they are complete; the fields say so themselves.
    return null;
  }
}
