"use client";
import { useRef } from "react";
import { formatNumber } from "@/core/units/format";
import { Button } from "@/ui/Button";

/** So many faults are listed; the rest are counted. */
const MOST_LISTED = 12;

/** The text of a file that is to be brought in, chosen or pasted, with what is wrong with it in words, line by line. */
export function FileOrPaste({
  label,
  text,
  placeholder,
  problems,
  onText,
}: {
  readonly label: string;
  readonly text: string;
  readonly placeholder: string;
  readonly problems: readonly string[];
  readonly onText: (text: string) => void;
}) {
  const chooser = useRef<HTMLInputElement>(null);
  return (
    <>
      <div className="flex flex-wrap gap-3">
        <Button onClick={() => chooser.current?.click()}>Choose a file</Button>
        <input
          ref={chooser}
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          aria-label={label}
          className="sr-only"
          tabIndex={-1}
          onChange={async ({ target }) => {
            const chosen = target.files?.[0];
            target.value = "";
            if (chosen) onText(await chosen.text());
          }}
        />
      </div>
      <label className="block font-bold">
        Or paste it here; mend lines here, too
        <textarea
          className="input mt-1 font-mono text-sm font-normal"
          rows={8}
          spellCheck={false}
          value={text}
          placeholder={placeholder}
          onChange={({ target }) => onText(target.value)}
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
              <li key={problem}>{problem}</li>
            ))}
          </ul>
          {problems.length > MOST_LISTED && <p>… and {formatNumber(problems.length - MOST_LISTED)} more.</p>}
        </div>
      )}
    </>
  );
}
