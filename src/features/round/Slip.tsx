"use client";
import { useRouter } from "next/navigation";
import { CAUTIONS } from "@/core/feed/cautions";
import { doseDone, undoEntry } from "@/server/round/actions";
import type { ReadingView } from "@/server/round/readingView";
import { Button } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { PrintButton } from "@/ui/PrintButton";
import { SlipSteps } from "@/ui/SlipSteps";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { quantityText } from "@/core/units/format";
import { slipDanger } from "@/core/feed/acidDanger";
import { SecondWord } from "@/ui/SecondWord";
import { acidDangerWords, schoolWords } from "@/features/feed/words";
import { slipFindingWords, slipStepView } from "./slipWords";

/** The slip of a reading, and the button that says it was followed. */
export function Slip({ entryId, tank }: { entryId: number; tank: ReadingView }) {
  const router = useRouter();
  const slip = tank.slip!;
  const units = useUnits();
  const danger = slipDanger(slip.steps, tank.normalFillL);
  const { run, busy } = useCommand(doseDone, {
    done: "Dose logged, stocks reduced",
    undo: (id) => undoEntry({ entryId: id }),
  });
  return (
    <>
      {slip.says.map((finding) => (
        <p key={finding.kind} className="mt-3">
          {slipFindingWords(finding, units, (id) => tank.sources.find((source) => source.id === id)?.name)}
        </p>
      ))}
      {tank.strength && tank.strength.school.kind !== "constant" && (
        <p className="mt-2 text-soft">
          {quantityText(tank.strength.ecMsPerCm, "ec", units)} wanted: {schoolWords(tank.strength.school)}.
        </p>
      )}
      <SecondWord why={danger && acidDangerWords(danger, units)} confirm="I have read it: show the slip">
        {slip.steps.length > 0 && <SlipSteps steps={slip.steps.map((step) => slipStepView(step, units))} />}
        <div className="space-y-2">
          {slip.cautions.map((key) => (
            <CautionNote key={key} {...CAUTIONS[key]} />
          ))}
        </div>
        {slip.steps.length > 0 && (
          <div className="no-print mt-4 flex flex-wrap gap-3">
            <Only right="dose">
              <Button
                look="go"
                disabled={busy}
                onClick={async () => {
                  const result = await run({ entryId });
                  if (result.ok) router.push("/round", { scroll: false });
                }}
              >
                Done as planned
              </Button>
            </Only>
            <PrintButton label="Print slip" part="slip" />
          </div>
        )}
      </SecondWord>
    </>
  );
}
