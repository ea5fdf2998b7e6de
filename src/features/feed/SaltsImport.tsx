"use client";
import Papa from "papaparse";
import { useRef, useState } from "react";
import { readSalts } from "@/core/feed/saltsFile";
import { counted, formatNumber } from "@/core/units/format";
import { useCommand } from "@/features/frame/useCommand";
import { importSalts } from "@/server/feed/importSalts";
import { Button } from "@/ui/Button";
import { saltsProblemWords } from "./words";

/** So many faults are listed; the rest are counted. */
const MOST_LISTED = 12;

/** Brings salts in from a file: first looked through, with what is wrong line by line; taken whole or not at all. */
export function SaltsImport({ onDone }: { readonly onDone: () => void }) {
  const [text, setText] = useState("");
  const chooser = useRef<HTMLInputElement>(null);
  const { run, busy } = useCommand(importSalts, { done: "Salts brought in" });
  const file = text.trim() === "" ? null : readSalts(Papa.parse<string[]>(text.trim()).data);
  const problems = file?.problems ?? [];
  return (
    <div className="space-y-4">
      <p>
        One salt a line, columns named in the first, as in the{" "}
        <a className="underline" href="/feed/salts.csv" download>
          file of this shelf
        </a>
        . Salts that are here by name are changed, the others are new; none is taken away.
      </p>
      <Button onClick={() => chooser.current?.click()}>Choose a file</Button>
      <input
        ref={chooser}
        type="file"
        accept=".csv,.txt,.tsv,text/csv,text/plain"
        aria-label="File of salts"
        className="sr-only"
        tabIndex={-1}
        onChange={async ({ target }) => {
          const chosen = target.files?.[0];
          target.value = "";
          if (chosen) setText(await chosen.text());
        }}
      />
      <label className="block font-bold">
        Or paste it here; mend lines here, too
        <textarea
          className="input mt-1 font-mono text-sm font-normal"
          rows={8}
          spellCheck={false}
          value={text}
          placeholder={"name,NO3-N_percent,K_percent,on_hand_g\npotassium nitrate,13.85,38.67,25000"}
          onChange={({ target }) => setText(target.value)}
        />
      </label>
      {problems.length > 0 && (
        <div role="alert" className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-2">
          <p className="font-bold">
            {problems.length === 1 ? "One thing is" : `${formatNumber(problems.length)} things are`} wrong; nothing is
            brought in until all are mended.
          </p>
          <ul className="mt-1 list-disc pl-5">
            {problems.slice(0, MOST_LISTED).map((problem) => (
              <li key={JSON.stringify(problem)}>{saltsProblemWords(problem)}</li>
            ))}
          </ul>
          {problems.length > MOST_LISTED && <p>… and {formatNumber(problems.length - MOST_LISTED)} more.</p>}
        </div>
      )}
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
