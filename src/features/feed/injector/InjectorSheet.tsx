"use client";
import { calibrate, headsInSeries } from "@/core/feed/calibration";
import type { CalibrationFact } from "@/core/garden/facts";
import type { Loop } from "@/core/garden/garden";
import type { InjectorFlow, InjectorSheet as Sheet } from "@/core/garden/injectorSheet";
import { CAUTIONS } from "@/core/feed/cautions";
import { dayInWords, type Day } from "@/core/units/day";
import { counted, formatNumber, percentText, quantityText } from "@/core/units/format";
import { Only } from "@/features/frame/who";
import { CautionNote } from "@/ui/Caution";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { Quantity, useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { CalibrationForm } from "./CalibrationForm";
import { FlowStrip, flowScale } from "./FlowStrip";
import { strengthWords, VERDICT_WORDS } from "./words";

export interface InjectorSheetProps {
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: Loop | null;
  readonly sheet: Sheet | null;
  /** Newest first. */
  readonly past: readonly CalibrationFact[];
  readonly today: Day;
}

/** Whether the injector of a loop doses at the real flow of each bank, and what it gives by its calibrations. */
export function InjectorSheet({ loops, loop, sheet, past, today }: InjectorSheetProps) {
  return (
    <>
      <Picker href="/feed/injector" query="loop" rows={loops} chosen={loop?.id ?? null} />
      {!loop || !sheet ? (
        <Empty
          title="No injector on this loop"
          example="Under Water, a loop can be fed by an injector with stocks: its flow range is asked there. Whether each bank runs within it is then shown here."
        />
      ) : (
        <div className="grid gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,1fr)_26rem]">
          <Flows loop={loop} sheet={sheet} />
          <Calibrations loop={loop} past={past} today={today} />
        </div>
      )}
    </>
  );
}

function Flows({ loop, sheet }: { readonly loop: Loop; readonly sheet: Sheet }) {
  const units = useUnits();
  const range = { leastLph: loop.injectorLeastLph ?? 0, greatestLph: loop.injectorGreatestLph ?? 0 };
  const scale = flowScale(
    range,
    sheet.flows.map(({ flowLph }) => flowLph),
  );
  const out = sheet.flows.filter(({ verdict }) => verdict !== "in-range");
  const { first } = headsInSeries(loop.ratioR, loop.ratioConvention);
  return (
    <section aria-label="Flow through the injector">
      <h2 className="text-2xl">
        Doses from {quantityText(range.leastLph, "flow", units)} to {quantityText(range.greatestLph, "flow", units)}
      </h2>
      <p className={out.length > 0 ? "font-bold text-alarm" : "text-soft"}>
        {sheet.flows.length === 0
          ? "Nothing that this loop waters tells its flow yet."
          : out.length === 0
            ? "Every bank runs within that, by itself and with those that run with it."
            : `${counted(out.length, "row")} below ${out.length === 1 ? "lies" : "lie"} outside of that.`}
      </p>
      <ul className="mt-2">
        {sheet.flows.map((flow) => (
          <FlowRow
            key={flow.key}
            flow={flow}
            isAll={flow.names.length === sheet.flows.filter(({ open }) => open === "alone").length}
            by={sheet.by}
            strip={{ range, scale }}
          />
        ))}
      </ul>
      {sheet.by === "wanted" && (
        <p className="mt-3 border-l-[6px] border-feed bg-feed-pale px-3 py-1.5">
          These are the flows that the stands want: nothing tells yet what gives this loop its pressure, so its real
          flows and its pressure are not known. Under Water, change the loop.
        </p>
      )}
      {sheet.by === "network" && sheet.flows.every(({ pressure }) => pressure === null) && (
        <p className="mt-3 text-soft">
          Its pressure was not judged: what its maker tells is not entered yet (Water, change the loop).
        </p>
      )}
      <p className="mt-3 max-w-prose text-soft">
        Two heads one after the other: the second dilutes what the first gave, here by {percentText(1 - first)}.{" "}
        {loop.injectorStrokeL === null
          ? "A short run is dosed by whole strokes: with the water for one stroke told (Water, change the loop), the error is shown here."
          : sheet.shortestRunMin !== null &&
            `The shortest run of a bank takes ${formatNumber(sheet.shortestRunMin, 1)} min; it may be wrong by one stroke of ${quantityText(loop.injectorStrokeL, "dose", units)}.`}
      </p>
    </section>
  );
}

function FlowRow({
  flow,
  isAll,
  by,
  strip,
}: {
  readonly flow: InjectorFlow;
  /** Everything that the loop waters is open. */
  readonly isAll: boolean;
  readonly by: Sheet["by"];
  readonly strip: Pick<Parameters<typeof FlowStrip>[0], "range" | "scale">;
}) {
  const units = useUnits();
  const { names, open, flowLph, verdict, pressure, headM, strokeError } = flow;
  const name = open === "alone" ? names[0]! : isAll ? "All banks together" : names.join(" + ");
  const isOut = verdict !== "in-range" || (pressure !== null && pressure !== "in-range");
  return (
    <li className="border-t border-rule py-2">
      <div className="flex items-baseline justify-between gap-4">
        <p>
          <span className="sign text-lg">{name}</span>{" "}
          <span className={isOut ? "font-bold text-alarm" : "text-leaf"}>{VERDICT_WORDS[verdict]}</span>
          {pressure && pressure !== "in-range" && (
            <span className="font-bold text-alarm"> · pressure too {pressure}</span>
          )}
        </p>
        <p className="figure shrink-0 !text-2xl">
          <Why
            label={`Flow of ${name}`}
            how={
              by === "network"
                ? "The pipes of the loop solved as a network at the lowest water with these valves open."
                : "Lines on one valve × emitters on a line × flow of an emitter, as they are said to want."
            }
            inputs={headM === null ? [] : [["pressure at the injector", quantityText(headM, "length", units)]]}
          >
            <Quantity value={flowLph} dimension="flow" />
          </Why>
        </p>
      </div>
      <FlowStrip {...strip} flowLph={flowLph} verdict={verdict} label={`${name}: ${VERDICT_WORDS[verdict]}`} />
      {strokeError !== null && strokeError >= 0.02 && (
        <p className="text-sm text-alarm">
          Its shortest run may be dosed {percentText(strokeError)} too strong or too weak: few strokes.
        </p>
      )}
    </li>
  );
}

function Calibrations({ loop, past, today }: Pick<InjectorSheetProps, "past" | "today"> & { readonly loop: Loop }) {
  const units = useUnits();
  const last = past[0];
  const dueDay = last ? last.day + loop.calibrateEveryDays : today;
  return (
    <section aria-label="Calibration">
      <h2 className="text-2xl">Calibrate</h2>
      <p className={dueDay <= today ? "font-bold text-alarm" : "text-soft"}>
        {last ? `Last on ${dayInWords(last.day, "year")}` : "Never calibrated yet"};{" "}
        {dueDay <= today ? "due now" : `due on ${dayInWords(dueDay, "year")}`}.
      </p>
      <Only right="dose">
        <div className="no-print mt-3">
          <CalibrationForm loop={loop} />
        </div>
      </Only>
      {past.length > 0 && (
        <ul className="mt-4">
          {past.map((one) => {
            const found = calibrate(one);
            return (
              <li key={one.entryId} className="flex items-baseline justify-between gap-4 border-t border-rule py-1.5">
                <span>
                  <b>{dayInWords(one.day, "year")}</b>{" "}
                  <span className="text-sm text-soft">
                    {quantityText(one.stockDrawnL, "dose", units)} over {quantityText(one.meteredL, "volume", units)}{" "}
                    {one.meter}, set to 1:{formatNumber(one.setR, 1)}
                    {one.setR !== one.wantedR && ` for 1:${formatNumber(one.wantedR, 1)}`}
                  </span>
                </span>
                <span className="shrink-0 text-right">
                  <span className="sign text-xl">
                    {found.actualR === null ? "–" : `1:${formatNumber(found.actualR, 1)}`}
                  </span>{" "}
                  <span className={found.verdict === "right" ? "text-leaf" : "font-bold text-alarm"}>
                    {strengthWords(found)}
                  </span>
                </span>
              </li>
            );
          })}
        </ul>
      )}
      <div className="mt-4">
        <CautionNote {...CAUTIONS.salts} />
      </div>
    </section>
  );
}
