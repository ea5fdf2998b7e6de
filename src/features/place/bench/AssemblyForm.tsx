"use client";
import type { Assembly } from "@/core/place/bench/assembly";
import { removeAssembly, saveAssembly } from "@/server/place/benchActions";
import { assemblySchema } from "@/server/place/benchSchema";
import { Button } from "@/ui/Button";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { useCommand } from "@/features/frame/useCommand";

const FIELDS: readonly FieldSpec[] = [
  { name: "assembly.name", label: "Name", type: "text", wide: true },
  {
    name: "assembly.pieces",
    label: "Pieces in a row",
    type: "rows",
    most: 20,
    addWords: "Add a piece",
    fresh: { lengthMm: 500, count: 1 },
    columns: [
      { name: "lengthMm", label: "Length", type: "quantity", dimension: "bore" },
      { name: "count", label: "How many", type: "quantity", dimension: "count" },
    ],
  },
  {
    name: "assembly.fittings",
    label: "Fittings in that row",
    type: "rows",
    most: 20,
    addWords: "Add a fitting",
    fresh: { name: "coupling", count: 1, takeUpMm: 5, sides: 2 },
    hint: "a coupling takes up on both its sides, an elbow at the end on one",
    columns: [
      { name: "name", label: "Fitting", type: "text" },
      { name: "count", label: "How many", type: "quantity", dimension: "count" },
      { name: "takeUpMm", label: "Take-up", type: "quantity", dimension: "bore" },
      { name: "sides", label: "Sides", type: "quantity", dimension: "count" },
    ],
  },
  {
    name: "assembly.way",
    label: "Which goes into which",
    type: "choice",
    options: [
      { value: "takes-a-piece", label: "something goes into it" },
      { value: "fits-a-space", label: "it goes into a space" },
    ],
  },
  {
    name: "assembly.otherMm",
    label: "The other's length",
    type: "quantity",
    dimension: "bore",
    hint: "the thing, or the space",
  },
];

const EXAMPLE: Assembly = {
  name: "Tray between the posts",
  pieces: [{ lengthMm: 550, count: 1 }],
  fittings: [{ name: "elbow", count: 2, takeUpMm: 4, sides: 1 }],
  otherMm: 545,
  way: "takes-a-piece",
};

/** Something built of pieces and fittings, and what it has to go with: checked before anything is cut. */
export function AssemblyForm({
  list,
  index,
  assembly,
  onDone,
}: {
  list: { readonly id: number; readonly version: number };
  index: number | null;
  assembly: Assembly | null;
  onDone: () => void;
}) {
  const removing = useCommand(removeAssembly, { done: "Check deleted" });
  const remove = async () => {
    const result = await removing.run({ listId: list.id, version: list.version, index });
    if (result.ok) onDone();
  };
  return (
    <EntityForm
      form="assembly"
      schema={assemblySchema}
      fields={FIELDS}
      defaults={{ listId: list.id, version: list.version, index, assembly: assembly ?? EXAMPLE }}
      action={saveAssembly}
      place={`${list.id}-${index} `}
      saved="Check saved"
      onDone={onDone}
      aside={
        index !== null && (
          <Button look="quiet" disabled={removing.busy} onClick={() => void remove()}>
            Delete
          </Button>
        )
      }
    />
  );
}
