"use client";
import { useWhatIfParam, withinWhatIf } from "@/ui/PageLink";

/** Files to take out: an ordinary link each, so that the browser keeps them as it keeps any file. */
export function OutLinks({ label }: { label: string }) {
  const whatIf = useWhatIfParam();
  return (
    <span className="no-print text-sm text-soft">
      {label}{" "}
      {(
        [
          ["layout.json", "JSON"],
          ["layout.svg", "SVG"],
          ["stands.csv", "CSV of stands"],
        ] as const
      ).map(([file, name]) => (
        <a
          key={file}
          className="mr-2 inline-flex min-h-8 items-center underline"
          href={withinWhatIf(`/place/${file}`, whatIf)}
          download
        >
          {name}
        </a>
      ))}
    </span>
  );
}
