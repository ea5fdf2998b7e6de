"use client";
import { useState } from "react";
import { importLayout } from "@/server/garden/whatIf/actions";
import { Button } from "@/ui/Button";
import { useDraft } from "@/features/frame/drafts";
import { Field } from "@/ui/Field";
import { useCommand } from "@/features/frame/useCommand";

/** A layout file, chosen or pasted. What is wrong with it is said line by line; the text stays and can be mended here. */
export function ImportForm({ onDone }: { onDone: () => void }) {
  const [draft, setDraft, forget] = useDraft("import-layout", { name: "", text: "" });
  const [faults, setFaults] = useState<readonly string[]>([]);
  const [nameProblem, setNameProblem] = useState<string | undefined>(undefined);
  const { run, busy } = useCommand(importLayout, { done: "Layout imported as a what-if" });
  const choose = async (file: File | undefined) => {
    if (!file) return;
    const text = await file.text();
    setDraft((before) => ({ name: before.name || file.name.replace(/(\.layout)?\.\w+$/u, ""), text }));
    setFaults([]);
  };
  const bring = async () => {
    setFaults([]);
    setNameProblem(undefined);
    const result = await run(draft);
    if (result.ok) {
      forget();
      return onDone();
    }
    setNameProblem(result.fields.name);
    setFaults((result.fields.text ?? (result.fields.name ? "" : result.message)).split("\n").filter(Boolean));
  };
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void bring();
      }}
    >
      <p className="text-soft">
        A layout as JSON, or a drawing that was exported here. It becomes a what-if beside the others; the garden stays
        as it is.
      </p>
      <Field label="File">
        {(aria) => (
          <input
            {...aria}
            type="file"
            accept=".json,.svg,application/json,image/svg+xml"
            className="input !h-auto py-2"
            onChange={(event) => void choose(event.target.files?.[0])}
          />
        )}
      </Field>
      <Field label="Name" error={nameProblem}>
        {(aria) => (
          <input
            {...aria}
            className="input"
            value={draft.name}
            onChange={(event) => setDraft((before) => ({ ...before, name: event.target.value }))}
          />
        )}
      </Field>
      {faults.length > 0 && (
        <div role="alert" className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
          <p className="font-bold">Import failed. Correct this and try again:</p>
          <ul className="mt-1 list-disc pl-5 text-sm">
            {faults.map((fault) => (
              <li key={fault}>{fault}</li>
            ))}
          </ul>
        </div>
      )}
      <Field label="Its text">
        {(aria) => (
          <textarea
            {...aria}
            className="input font-mono text-sm"
            rows={14}
            spellCheck={false}
            value={draft.text}
            onChange={(event) => setDraft((before) => ({ ...before, text: event.target.value }))}
          />
        )}
      </Field>
      <div className="border-t border-rule pt-3">
        <Button look="strong" type="submit" disabled={busy || draft.text === ""}>
          Import
        </Button>
      </div>
    </form>
  );
}
