"use client";
import { CAUTIONS } from "@/core/feed/cautions";
import type { Day } from "@/core/units/day";
import { addNote } from "@/server/round/actions";
import { noteSchema } from "@/server/round/schema";
import { EntityForm } from "@/features/frame/form/EntityForm";
import type { FieldSpec } from "@/features/frame/form/fields";
import { CautionNote } from "@/ui/Caution";

const FIELDS: readonly FieldSpec[] = [
  { name: "title", label: "What", type: "text", wide: true },
  { name: "place", label: "Where", type: "text" },
  { name: "day", label: "Day", type: "day" },
  { name: "note", label: "More", type: "note" },
];

export function NoteForm({ today, onDone }: { today: Day; onDone: () => void }) {
  return (
    <EntityForm
      form="note"
      schema={noteSchema}
      fields={FIELDS}
      defaults={{ title: "", place: "", day: today, note: "" }}
      action={addNote}
      saved="Noted"
      undo={false}
      onDone={onDone}
    >
      <CautionNote {...CAUTIONS.plantProtection} />
    </EntityForm>
  );
}
