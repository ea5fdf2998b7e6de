"use client";
import { usePathname } from "next/navigation";
import { counted } from "@/core/units/format";
import { buttonClass } from "@/ui/Button";
import { PageLink } from "@/ui/PageLink";
import { useWho } from "../who";

/** Over every sheet of a what-if: that nothing here is real yet, what to settle, and the way out. */
export function WhatIfBar({ conflicts }: { conflicts: number }) {
  const { whatIf } = useWho();
  const path = usePathname();
  if (!whatIf) return null;
  return (
    <section
      aria-label="What if"
      className="hatched sticky top-0 z-20 flex flex-wrap items-center gap-x-4 gap-y-1 border-b-4 border-try px-4 py-2 max-md:pt-14 md:px-6"
    >
      <p className="min-w-0 flex-1 basis-full bg-sheet px-2 py-1 md:basis-0">
        <b className="sign text-xl text-try">What if: {whatIf.name}</b> Not yet real: what you change here stays in this
        what-if.
        {conflicts > 0 && (
          <b className="text-alarm"> {counted(conflicts, "change")} collided with the garden; settle that first.</b>
        )}
      </p>
      <PageLink href="/batches/what-if" className={buttonClass("strong")}>
        Compare and adopt
      </PageLink>
      {/* Loaded anew: nothing of the what-if stays on the page. */}
      <a href={path} className={buttonClass("plain")}>
        Leave the what-if
      </a>
    </section>
  );
}
