"use client";
import type { Blend } from "@/core/feed/blendWaters";
import { isAnalysed, type Gathering, type LoopRise, type SourceQuality } from "@/core/garden/waterQuality";
import type { Day } from "@/core/units/day";
import { Empty } from "@/ui/Empty";
import { AnalysisTable } from "./AnalysisTable";
import { BlendSentence } from "./BlendSentence";
import { SaltRise } from "./SaltRise";

export interface QualitySheetProps {
  readonly today: Day;
  readonly qualities: readonly SourceQuality[];
  /** As the plan draws the sources; null where it draws nothing. */
  readonly drawn: Blend | null;
  /** Those whose water goes round. */
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: { readonly id: number; readonly name: string; readonly fillL: number } | null;
  readonly rises: Readonly<Record<Gathering, readonly LoopRise[]>> | null;
}

/** What is in the water: each source, any blend of two, and what sodium and chloride do where water goes round. */
export function QualitySheet({ today, qualities, drawn, loops, loop, rises }: QualitySheetProps) {
  const analysed = qualities.filter(({ source }) => isAnalysed(source)).map(({ source }) => source);
  if (analysed.length === 0)
    return (
      <Empty
        title="No water has been analysed yet"
        example="Enter what a laboratory or the waterworks say of a source, on the Supply sheet under “What is in it”: for instance 120 mg/L of alkalinity, 48 of calcium, 24 of sodium, 38 of chloride."
      />
    );
  return (
    <>
      <AnalysisTable qualities={qualities} drawn={qualities.length > 1 ? drawn : null} />
      {analysed.length > 1 && <BlendSentence key={analysed.map(({ id }) => id).join()} sources={analysed} />}
      {loop && rises && <SaltRise key={loop.id} today={today} loops={loops} loop={loop} rises={rises} />}
    </>
  );
}
