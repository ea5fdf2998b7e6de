"use client";
import Link from "next/link";
import { useRouter } from "next/navigation";
import { CAUTIONS } from "@/core/feed/cautions";
import { doseDone, undoEntry } from "@/server/round/actions";
import type { LogEntry } from "@/server/round/queries";
import type { ReadingView } from "@/server/round/readingView";
import { Button, buttonClass } from "@/ui/Button";
import { CautionNote } from "@/ui/Caution";
import { PrintButton } from "@/ui/PrintButton";
import { SlipSteps } from "@/ui/SlipSteps";
import { Quantity } from "@/ui/units";
import { useCommand } from "@/ui/useCommand";
import { PanelFrame } from "./ItemPanel";
import { ReadingForm } from "./ReadingForm";
import { slipStepView } from "./slipView";
import { Only, useMay } from "@/ui/who";

/** What has been done: by whom, what it came to, and the way to take it back. A reading shows its slip. */
export function EntryPanel({ entry, tank }: { entry: LogEntry; tank: ReadingView | null }) {
  const router = useRouter();
  const { run, busy } = useCommand(undoEntry, { done: `Taken back: ${entry.title}`, undo: false });
  const mayTakeBack = useMay(isDose(entry.kind) ? "dose" : "log");
  const done = entry.actual.done as number | undefined;
  const title = tank ? `${tank.name} tank` : entry.title;
  return (
    <PanelFrame
      title={title}
      detail={`${entry.kind === "skip" ? "put off" : "done"} by ${entry.personName}${entry.note ? `: ${entry.note}` : ""}`}
    >
      {done !== undefined && (
        <p className="sign my-3 text-5xl [&_small]:text-2xl [&_small]:text-soft">
          <Quantity
            value={done}
            dimension={entry.actual.dimension as "count"}
            word={(entry.actual.word as string) || undefined}
          />
        </p>
      )}
      {entry.kind === "reading" && <Figures entry={entry} tank={tank} />}
      {tank?.slip && <Slip entryId={entry.id} tank={tank} />}
      <div className={`no-print mt-4 flex flex-wrap gap-3 border-t border-rule pt-3 ${mayTakeBack ? "" : "hidden"}`}>
        {entry.kind === "reading" && entry.loopId !== null && (
          <Link href={`/round?again=${entry.loopId}`} scroll={false} className={buttonClass()}>
            Read again
          </Link>
        )}
        <Button
          look="quiet"
          disabled={busy}
          onClick={async () => {
            const result = await run({ entryId: entry.id });
            if (result.ok) router.push("/round", { scroll: false });
          }}
        >
          Take back
        </Button>
      </div>
    </PanelFrame>
  );
}

/** The reading after the wait: the same form, another entry. */
export function ReadAgain({ tank }: { tank: ReadingView }) {
  return (
    <PanelFrame title={`${tank.name} tank`} detail="another reading of today">
      <ReadingForm tank={tank} />
    </PanelFrame>
  );
}

function Figures({ entry, tank }: { entry: LogEntry; tank: ReadingView | null }) {
  const { ecMsPerCm, ph, waterC, levelL } = entry.actual as Record<string, number>;
  const bands = tank?.bands;
  const out = (value: number, low?: number, high?: number) =>
    low !== undefined && high !== undefined && (value < low || value > high);
  const cells = [
    {
      name: "EC",
      value: ecMsPerCm!,
      dimension: "ec" as const,
      out: out(ecMsPerCm!, bands?.ecLow, bands?.ecHigh),
    },
    { name: "pH", value: ph!, dimension: "ph" as const, out: out(ph!, bands?.phLow, bands?.phHigh) },
    { name: "Water", value: waterC!, dimension: "temperature" as const, out: waterC! > 25 },
    { name: "Level", value: levelL!, dimension: "volume" as const, out: false },
  ];
  return (
    <dl className="mt-3 grid grid-cols-4 gap-2">
      {cells.map((cell) => (
        <div key={cell.name} className="border-t-4 border-rule pt-1 data-[out=true]:border-alarm" data-out={cell.out}>
          <dt className="text-sm text-soft">
            {cell.name}
            {cell.out && <span className="font-bold text-alarm"> out</span>}
          </dt>
          <dd className="figure">
            <Quantity value={cell.value} dimension={cell.dimension} />
          </dd>
        </div>
      ))}
    </dl>
  );
}

const isDose = (kind: string) => ["dose", "mix", "top-up"].includes(kind);

function Slip({ entryId, tank }: { entryId: number; tank: ReadingView }) {
  const router = useRouter();
  const slip = tank.slip!;
  const { run, busy } = useCommand(doseDone, {
    done: "Dose logged, stocks counted down",
    undo: (id) => undoEntry({ entryId: id }),
  });
  return (
    <>
      {slip.says.map((sentence) => (
        <p key={sentence} className="mt-3">
          {sentence}
        </p>
      ))}
      {slip.steps.length > 0 && <SlipSteps steps={slip.steps.map(slipStepView)} />}
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
              Done as said
            </Button>
          </Only>
          <PrintButton label="Print slip" part="slip" />
        </div>
      )}
    </>
  );
}
