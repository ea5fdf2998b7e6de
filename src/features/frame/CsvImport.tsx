"use client";
import Papa from "papaparse";
import { useState, type ReactNode } from "react";
import { counted } from "@/core/units/format";
import type { Action } from "@/server/session/result";
import { useWhatIfParam, withinWhatIf } from "@/ui/PageLink";
import { Button } from "@/ui/Button";
import { FileOrPaste } from "./FileOrPaste";
import { useCommand } from "./useCommand";

interface CsvImportProps<One> {
  /** What a line is: "salt", "crop". */
  readonly one: string;
  /** Where the same is written as a file, and what that file is called. */
  readonly example: { readonly href: string; readonly words: string };
  readonly placeholder: string;
  /** What the cells of a file come to, and what is wrong with them in words. */
  readonly read: (lines: readonly (readonly string[])[]) => {
    readonly rows: readonly One[];
    readonly problems: readonly string[];
  };
  readonly action: Action<number>;
  readonly saved: string;
  /** Shown of a file in which nothing is wrong. */
  readonly preview?: (rows: readonly One[]) => ReactNode;
  readonly onDone: () => void;
}

/** Brings rows in from a file: first looked through, with what is wrong line by line; taken whole or not at all. */
export function CsvImport<One>({
  one,
  example,
  placeholder,
  read,
  action,
  saved,
  preview,
  onDone,
}: CsvImportProps<One>) {
  const [text, setText] = useState("");
  const whatIf = useWhatIfParam();
  const { run, busy } = useCommand(action, { done: saved });
  const file = text.trim() === "" ? null : read(Papa.parse<string[]>(text.trim()).data);
  const isSound = file !== null && file.problems.length === 0;
  return (
    <div className="space-y-4">
      <p>
        One {one} a line, columns named in the first, as in the{" "}
        <a className="underline" href={withinWhatIf(example.href, whatIf)} download>
          {example.words}
        </a>
        . What is here by its name is changed, the others are new; none is taken away.
      </p>
      <FileOrPaste
        label={`File of ${one}s`}
        text={text}
        placeholder={placeholder}
        problems={file?.problems ?? []}
        onText={setText}
      />
      {isSound && preview?.(file.rows)}
      <Button
        look="strong"
        disabled={!isSound || busy}
        onClick={async () => {
          if ((await run({ text })).ok) onDone();
        }}
      >
        {isSound ? `Bring in ${counted(file.rows.length, one)}` : "Bring in"}
      </Button>
    </div>
  );
}
