"use client";
import Papa from "papaparse";
import { useState } from "react";
import { readSalts } from "@/core/feed/saltsFile";
import { counted } from "@/core/units/format";
import { FileOrPaste } from "@/features/frame/FileOrPaste";
import { useCommand } from "@/features/frame/useCommand";
import { importSalts } from "@/server/feed/importSalts";
import { useWhatIfParam, withinWhatIf } from "@/ui/PageLink";
import { Button } from "@/ui/Button";
import { saltsProblemWords } from "./words";

/** Brings salts in from a file: first looked through, with what is wrong line by line; taken whole or not at all. */
export function SaltsImport({ onDone }: { readonly onDone: () => void }) {
  const [text, setText] = useState("");
  const whatIf = useWhatIfParam();
  const { run, busy } = useCommand(importSalts, { done: "Salts brought in" });
  const file = text.trim() === "" ? null : readSalts(Papa.parse<string[]>(text.trim()).data);
  const problems = file?.problems ?? [];
  return (
    <div className="space-y-4">
      <p>
        One salt a line, columns named in the first, as in the{" "}
        <a className="underline" href={withinWhatIf("/feed/salts.csv", whatIf)} download>
          file of this shelf
        </a>
        . Salts that are here by name are changed, the others are new; none is taken away.
      </p>
      <FileOrPaste
        label="File of salts"
        text={text}
        placeholder={"name,NO3-N_percent,K_percent,on_hand_g\npotassium nitrate,13.85,38.67,25000"}
        problems={problems.map(saltsProblemWords)}
        onText={setText}
      />
      <Button
        look="strong"
        disabled={!file || problems.length > 0 || busy}
        onClick={async () => {
          if ((await run({ text })).ok) onDone();
        }}
      >
        {file && problems.length === 0 ? `Bring in ${counted(file.salts.length, "salt")}` : "Bring in"}
      </Button>
    </div>
  );
}
