"use client";
import { removeCutList, saveCutList } from "@/server/place/benchActions";
import type { CutListRow } from "@/server/place/benchQueries";
import { cutListSchema, type CutListInput } from "@/server/place/benchSchema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { RemoveButton } from "@/features/frame/RemoveButton";

const FIELDS: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text" },
  { name: "material", label: "Material", type: "text", hint: "offcuts of the same material are used" },
  {
    name: "pieces",
    label: "Pieces",
    type: "rows",
    most: 60,
    addWords: "Add a piece",
    fresh: { lengthMm: 1000, count: 1, label: "" },
    columns: [
      { name: "lengthMm", label: "Length", type: "quantity", dimension: "bore" },
      { name: "count", label: "How many", type: "quantity", dimension: "count" },
      { name: "label", label: "What for", type: "text" },
    ],
  },
  {
    name: "stocks",
    label: "Lengths on sale",
    type: "rows",
    most: 3,
    addWords: "Add a length",
    fresh: { lengthMm: 3000, price: 0 },
    columns: [
      { name: "lengthMm", label: "Length", type: "quantity", dimension: "bore" },
      { name: "price", label: "Price of one", type: "quantity", dimension: "money" },
    ],
  },
  {
    name: "objective",
    label: "Wanted",
    type: "choice",
    options: [
      { value: "bars", label: "fewest bars, then least length" },
      { value: "money", label: "least money" },
    ],
  },
  {
    name: "sawCutMm",
    label: "Saw cut",
    type: "quantity",
    dimension: "bore",
    hint: "what one cut takes; {2 mm} to {3 mm} for most",
  },
  {
    name: "trimMm",
    label: "Taken off each end",
    type: "quantity",
    dimension: "bore",
    hint: "of bought bars: ends come damaged",
  },
  { name: "leastOffcutMm", label: "Least useful offcut", type: "quantity", dimension: "bore" },
  { name: "usesOffcuts", label: "Use what lies on the shelf", type: "switch" },
];

export type CutListStart = Pick<CutListInput, "name" | "material" | "pieces">;

const EXAMPLE: CutListStart = {
  name: "Frame of a bench",
  material: "tube",
  pieces: [
    { lengthMm: 1200, count: 4, label: "rail" },
    { lengthMm: 800, count: 6, label: "leg" },
    { lengthMm: 550, count: 4, label: "cross member" },
  ],
};

/** A list of cuts: the pieces, the bars on sale, the saw. A worked example to take and change when it is new. */
export function CutListForm({
  list,
  start,
  onDone,
}: {
  list: CutListRow | null;
  start: CutListStart | null;
  onDone: () => void;
}) {
  const fresh = {
    id: null,
    version: null,
    sawCutMm: 3,
    trimMm: 0,
    leastOffcutMm: 300,
    objective: "bars",
    usesOffcuts: true,
    stocks: [{ lengthMm: 6000, price: 0 }],
  };
  const { assemblies: _assemblies, plan: _plan, cutOn: _cutOn, ...kept } = list ?? ({} as CutListRow);
  return (
    <EntityForm
      form="cut-list"
      schema={cutListSchema}
      fields={FIELDS}
      defaults={list ? kept : { ...fresh, ...(start ?? EXAMPLE) }}
      action={saveCutList}
      place={start?.name}
      saved="Cut list saved"
      onDone={onDone}
      aside={list && <RemoveButton what={list.name} action={removeCutList} id={list.id} onDone={onDone} />}
    />
  );
}
