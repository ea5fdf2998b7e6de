import { TriangleAlert } from "lucide-react";

/** One line where the work is done, with more behind it. */
export function CautionNote({ short, more }: { short: string; more: string }) {
  return (
    <details className="border-l-[6px] border-feed bg-feed-pale px-3 py-2 text-sm">
      <summary className="flex list-none items-start gap-2">
        <TriangleAlert aria-hidden className="mt-0.5 size-4 shrink-0" />
        <span>
          {short} <span className="underline">more</span>
        </span>
      </summary>
      <p className="mt-2 pl-6">{more}</p>
    </details>
  );
}
