import { PageLink } from "./PageLink";
import type { ReactNode } from "react";

export interface SheetTab {
  readonly href: string;
  readonly name: string;
  readonly present?: boolean;
}

/** The head of a station: its name, one line of facts, and its sheets as index tabs. */
export function Station({
  title,
  facts,
  tabs = [],
  children,
}: {
  title: string;
  facts?: ReactNode;
  tabs?: readonly SheetTab[];
  children: ReactNode;
}) {
  return (
    <>
      <header className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b-2 border-ink px-4 pt-4 md:px-6 md:pt-6">
        <h1 className="pb-2 text-4xl max-md:basis-full max-md:pr-32">{title}</h1>
        <div className="min-w-0 flex-1 basis-60 pb-3 text-soft">{facts}</div>
        {tabs.length > 0 && (
          <nav aria-label={`Pages of ${title}`} className="no-print flex flex-wrap gap-1">
            {tabs.map((tab) => (
              <PageLink
                key={tab.href}
                href={tab.href}
                aria-current={tab.present ? "page" : undefined}
                className={`sign rounded-t px-4 py-2 text-lg ${tab.present ? "bg-ink text-ground" : "border border-b-0 border-rule bg-sheet text-ink"}`}
              >
                {tab.name}
              </PageLink>
            ))}
          </nav>
        )}
      </header>
      <div className="px-4 py-4 md:px-6 print:p-0">{children}</div>
    </>
  );
}
