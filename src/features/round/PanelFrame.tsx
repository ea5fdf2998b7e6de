import { ArrowLeft } from "lucide-react";
import { PageLink } from "@/ui/PageLink";
import type { ReactNode } from "react";

/** The frame of the chosen item: its name, a line about it, and on a small screen the way back. */
export function PanelFrame({ title, detail, children }: { title: string; detail: string; children: ReactNode }) {
  return (
    <section aria-label={title} className="rounded border-2 border-ink bg-sheet p-5 lg:sticky lg:top-5 print:border">
      <PageLink href="/round" className="no-print mb-2 inline-flex min-h-11 items-center gap-2 lg:hidden">
        <ArrowLeft aria-hidden className="size-5" /> Back to the walk
      </PageLink>
      <h2 className="text-3xl">{title}</h2>
      <p className="mt-1 text-soft">{detail}</p>
      {children}
    </section>
  );
}
