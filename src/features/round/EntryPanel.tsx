"use client";
import { PageLink } from "@/ui/PageLink";
import { useRouter } from "next/navigation";
import { isDose } from "@/core/round/dosing";
import { TANK_FIGURES, type TankFigure, type TankFigures } from "@/core/feed/tankFigures";
import { WARM_WATER_C } from "@/core/feed/warmWater";
import { undoEntry } from "@/server/round/actions";
import type { FirstEntry, MixedSalt } from "@/core/round/log";
import type { ReadingView } from "@/server/round/readingView";
import { Button, buttonClass } from "@/ui/Button";
import { Quantity } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { entryFigures, entryTitle } from "./words";
import { PanelFrame } from "./PanelFrame";
import { Slip } from "./Slip";
import { ReadingForm } from "./ReadingForm";
import { useMay } from "@/features/frame/who";

/** What has been done: by whom, its figures, and the button to undo it. A reading shows its slip. */
export function EntryPanel({ entry, tank }: { entry: FirstEntry; tank: ReadingView | null }) {
  const router = useRouter();
  const { what } = entry;
  const { run, busy } = useCommand(undoEntry, { done: `Undone: ${entryTitle(what)}`, undo: false });
  const mayTakeBack = useMay(isDose(entry.kind) ? "dose" : "log");
  const done = entryFigures(what).find(({ name }) => name === "done");
  const title = tank ? tank.tankName : entryTitle(what);
  return (
    <PanelFrame
      title={title}
      detail={`${entry.kind === "skip" ? "skipped" : "done"} by ${entry.personName}${entry.note ? `: ${entry.note}` : ""}`}
    >
      {done && (
        <p className="sign my-3 text-5xl [&_small]:text-2xl [&_small]:text-soft">
          <Quantity
            value={done.value}
            dimension={done.dimension}
            word={done.label === "done" ? undefined : done.label}
          />
        </p>
      )}
      {what.kind === "task" && what.salts && <MixedOf salts={what.salts} />}
      {what.kind === "reading" && <Figures figures={what.figures} tank={tank} />}
      {tank?.slip && <Slip entryId={entry.id} tank={tank} />}
      <div className={`no-print mt-4 flex flex-wrap gap-3 border-t border-rule pt-3 ${mayTakeBack ? "" : "hidden"}`}>
        {entry.kind === "reading" && entry.loopId !== null && (
          <PageLink href={`/round?again=${entry.loopId}`} scroll={false} className={buttonClass()}>
            Read again
          </PageLink>
        )}
        <Button
          look="quiet"
          disabled={busy}
          onClick={async () => {
            const result = await run({ entryId: entry.id });
            if (result.ok) router.push("/round", { scroll: false });
          }}
        >
          Undo
        </Button>
      </div>
    </PanelFrame>
  );
}

/** What a stock was mixed of, and out of which bags. */
function MixedOf({ salts }: { readonly salts: readonly MixedSalt[] }) {
  return (
    <ul className="my-3">
      {salts.map(({ saltId, name, grams, lot }) => (
        <li key={saltId} className="flex items-baseline justify-between gap-4 border-t border-rule py-1">
          <span>
            {name} {lot && <span className="text-sm text-soft">lot {lot}</span>}
          </span>
          <span className="figure !text-xl">
            <Quantity value={grams} dimension="mass" />
          </span>
        </li>
      ))}
    </ul>
  );
}

/** The reading after the wait: the same form, another entry. */
export function ReadAgain({ tank }: { tank: ReadingView }) {
  return (
    <PanelFrame title={tank.tankName} detail="another reading today">
      <ReadingForm tank={tank} />
    </PanelFrame>
  );
}

function Figures({ figures, tank }: { figures: TankFigures; tank: ReadingView | null }) {
  const bands = tank?.bands;
  const isOut: Readonly<Record<TankFigure, boolean>> = {
    ecMsPerCm: bands ? outside(figures.ecMsPerCm, bands.ecLow, bands.ecHigh) : false,
    ph: bands ? outside(figures.ph, bands.phLow, bands.phHigh) : false,
    waterC: (figures.waterC ?? 0) > WARM_WATER_C,
    levelL: false,
    oxygenMgPerL: (figures.oxygenMgPerL ?? Infinity) < 5,
  };
  const cells = TANK_FIGURES.filter(({ name, optional }) => !optional || figures[name] != null).map(
    ({ name, label, dimension }) => ({
      name: label,
      dimension,
      value: figures[name] ?? null,
      out: isOut[name],
    }),
  );
  return (
    <dl className="mt-3 grid grid-cols-[repeat(auto-fit,minmax(5.5rem,1fr))] gap-2">
      {cells.map((cell) => (
        <div key={cell.name} className="border-t-4 border-rule pt-1 data-[out=true]:border-alarm" data-out={cell.out}>
          <dt className="text-sm text-soft">
            {cell.name}
            {cell.out && <span className="font-bold text-alarm"> out</span>}
          </dt>
          <dd className="figure">
            {cell.value === null ? "–" : <Quantity value={cell.value} dimension={cell.dimension} />}
          </dd>
        </div>
      ))}
    </dl>
  );
}

function outside(value: number | null, low: number, high: number): boolean {
  return value !== null && (value < low || value > high);
}
