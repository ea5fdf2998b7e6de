"use client";
import type { Loop } from "@/core/garden/garden";
import { bankName, SPIGOT_HEAD_M } from "@/core/garden/loopPipes";
import { PUMP_EFFICIENCY, type PumpTrial } from "@/core/garden/pumpTrial";
import { turnoverPerHour } from "@/core/place/turnoverPerHour";
import { realPumpOf, type LoopPump } from "@/core/water/loopPump";
import { formatNumber, quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { Figure } from "../Figure";

interface PumpFiguresProps {
  readonly loop: Loop;
  /** With its filter due for cleaning, where it has one. */
  readonly trial: PumpTrial;
  /** With a clean filter; null where there is none. */
  readonly clean: PumpTrial | null;
  /** Head that would do, where this pump does not; null: none up to 100 m. */
  readonly neededM: number | null;
  readonly banks: number;
  readonly minutesPerDay: number;
}

/** What a pump gives against what is wanted, in words and figures. */
export function PumpFigures({ loop, trial, clean, neededM, banks, minutesPerDay }: PumpFiguresProps) {
  const units = useUnits();
  const text = (lph: number) => quantityText(lph, "flow", units);
  const { low, high, verdict, wantedLph } = trial;
  const [figure, unit] = text(low.flow.flowLph).split(/ (?=\D+$)/u);
  const isShort = verdict === "short" || verdict === "cannot-lift";
  const isPumped = loop.pump !== null && realPumpOf(loop.pump) !== null;
  const turnover = turnoverPerHour(low.flow.flowLph, loop.normalFillL);
  return (
    <section aria-label="What the pump gives">
      <p className={`sign flex flex-wrap items-baseline gap-x-3 ${isShort ? "text-alarm" : ""}`}>
        <Why
          label="Flow of the pump"
          how={`The whole loop is solved as one network: pump curve, pipe with its fittings, and every open bank. The pipe along the lines of a bank is as wide as the pump’s unless the loop tells its bore; an open spigot gives the flow its line wants at ${quantityText(SPIGOT_HEAD_M, "length", units)} of head, where the pump is asked for none.`}
          inputs={[
            ["wanted by the open banks", text(wantedLph)],
            ...(isPumped
              ? [["head of the pump there", quantityText(low.flow.pumpHeadM, "length", units)] as const]
              : []),
          ]}
        >
          <span className="text-6xl leading-none">{figure}</span>
        </Why>
        <span className="text-2xl text-soft">{unit}</span>
      </p>
      <p className="mt-1 text-lg">{verdictWords(trial, text)}</p>
      {clean && (
        <p className={`mt-1 ${clogsTooFar(trial, clean) ? "font-bold text-alarm" : "text-soft"}`}>
          {clogsTooFar(trial, clean)
            ? `That is with its filter due for cleaning: by then ${bankName(trial.worst.bank)} gets ${formatNumber(trial.shareOfWanted * 100)} % of what it wants, and clean it gets ${formatNumber(shareOf(clean, trial) * 100)} %. Clean it sooner.`
            : "That is with its filter due for cleaning."}
        </p>
      )}
      {trial.measureIt && (
        <p className="mt-1 font-bold">That is too near to say from a label: measure it, with a bucket and a watch.</p>
      )}
      {loop.pump && beginsLateWords(loop.pump, text) && <p className="mt-1">{beginsLateWords(loop.pump, text)}</p>}
      {low.flow.isBeforeCurve && (
        <p className="mt-1 font-bold">It would work where its curve is humped or not known: it may not run steadily.</p>
      )}
      {isShort && (
        <p className="mt-2 border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
          {loop.pump?.kind === "mains"
            ? "Set the regulator higher, if the mains allow, or lay wider pipes."
            : !isPumped
              ? `It takes ${neededM === null ? "wider pipes" : `a stand ${quantityText(neededM, "length", units)} higher`} for every bank to get what it wants.`
              : neededM === null
                ? `No pump gives ${text(wantedLph)} through these pipes: they are too narrow.`
                : `Wanted is a pump that gives ${text(wantedLph)} at ${quantityText(neededM, "length", units)} of head: ${kindWords(neededM)}.`}
          {banks > 1 && ` Or open the ${banks} banks in turns.`}
        </p>
      )}
      <dl className="mt-3">
        {clean && <Figure what="With a clean filter" figure={text(clean.low.flow.flowLph)} />}
        {high !== low && (
          <Figure what="With a full tank" figure={text(high.flow.flowLph)} note="the water stands higher" />
        )}
        {loop.kind === "recirculating" && (
          <Figure
            what="Turns the tank over"
            figure={`${formatNumber(turnover, 1)} times an hour`}
            note={`normal fill ${quantityText(loop.normalFillL, "volume", units)}`}
          />
        )}
        {isPumped && (
          <Figure
            what="Electricity a day"
            figure={`${formatNumber(trial.kwhPerDay, 2)} kWh`}
            note={`about ${formatNumber(trial.inputW)} W for ${formatNumber(minutesPerDay / 60, 1)} h, at ${PUMP_EFFICIENCY * 100} % efficiency`}
          />
        )}
      </dl>
    </section>
  );
}

/** What a table leaves open that does not begin at no flow; null for every other. */
export function beginsLateWords(pump: LoopPump, text: (lph: number) => string): string | null {
  if (pump.kind !== "table" || pump.points[0]!.flowLph === 0) return null;
  return `Its table begins at ${text(pump.points[0]!.flowLph)}: how high it lifts at no flow is not known. Add a point for no flow: close its outlet a moment and read how high the water stands in a hose.`;
}

/** Under this of what it wants a bank shows it. */
const LEAST_SHARE = 0.9;

const shareOf = (clean: PumpTrial, { worst }: PumpTrial) =>
  clean.low.banks.find(({ bank }) => bank.key === worst.bank.key)?.share ?? 0;

/** The filter alone takes a bank under nine tenths of what it wants. */
function clogsTooFar(trial: PumpTrial, clean: PumpTrial): boolean {
  return trial.shareOfWanted < LEAST_SHARE && shareOf(clean, trial) >= LEAST_SHARE;
}

/** Whether a pump does, in one or two sentences. */
export function verdictWords(
  { verdict, wantedLph, shareOfWanted, worst, low }: PumpTrial,
  text: (lph: number) => string,
): string {
  const percent = formatNumber(Math.abs(shareOfWanted - 1) * 100);
  const bank = bankName(worst.bank);
  switch (verdict) {
    case "cannot-lift":
      return `It cannot lift the water to ${bank}. ${text(wantedLph)} are wanted in all.`;
    case "short":
      return low.flow.flowLph >= wantedLph
        ? `Enough in all, but ${bank} gets ${percent} % less than it wants: throttle the others.`
        : `${bank} gets ${percent} % less than it wants; ${text(wantedLph)} are wanted in all.`;
    case "fits":
      return `It fits: every open bank gets what it wants, the least ${percent} % over. ${text(wantedLph)} are wanted in all.`;
    case "ample":
      return `Ample: every bank gets at least ${percent} % over what it wants (${text(wantedLph)} in all). Throttle it, or put a regulator before the lines.`;
    case "past-end":
      return `Past the end of its curve: at least this, where ${text(wantedLph)} are wanted. It may overload; throttle it.`;
  }
}

/** What sort of pump gives such a head. */
function kindWords(headM: number): string {
  if (headM <= 3.5) return "small submersible pumps do that";
  if (headM <= 9) return "large submersible pumps do that";
  return headM <= 50 ? "surface pumps for pressure do that" : "only multi-stage pumps do that";
}
