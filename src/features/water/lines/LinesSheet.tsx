"use client";
import { useDeferredValue, useMemo, useState } from "react";
import { USUAL_HEAD_M, type HeadAtLines } from "@/core/garden/headAtLines";
import type { CatchCanFact } from "@/core/garden/facts";
import { dripLine, linesOf, SMALL_PE_C, type DrippedSpec, type FrictionLaw } from "@/core/water/dripLine";
import { timerMinutes, type TimerProgram } from "@/core/water/timer";
import { saveStand } from "@/server/place/actions";
import type { Stand } from "@/core/garden/garden";
import { formValues } from "@/features/frame/form/formValues";
import { STAND } from "@/core/garden/entities/place";
import { inText } from "@/core/units/rounded";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";
import { CatchCans } from "./CatchCans";
import { BedFromAbove } from "./BedFromAbove";
import { LineChart } from "./LineChart";
import { LineFigures } from "./LineFigures";
import { LineSliders } from "./LineSliders";
import { firstTexts, lineMeasures, specOf, HEAD } from "./lineBlanks";
import { PorousHose } from "./PorousHose";
import { RunFigures } from "./RunFigures";
import { SpacingTable } from "./SpacingTable";

export interface DripStandView {
  readonly stand: Stand;
  readonly spec: DrippedSpec;
  /** Null where nothing says what head there is. */
  readonly head: HeadAtLines | null;
  /** Of the water of its loop, where it is told. */
  readonly waterC?: number;
  /** Of its loop; null where it stands on none. */
  readonly watering: {
    readonly timer: TimerProgram;
    readonly drainShare: number;
    /** What a plant there drinks a day; 0 where none stands there. */
    readonly needLpd: number;
  } | null;
  readonly tests: readonly CatchCanFact[];
}

export interface LinesSheetProps {
  readonly stands: readonly { readonly id: number; readonly name: string }[];
  readonly view: DripStandView | null;
}

/** Drip lines of a stand: how even they are, what each plant gets, and what another spacing would do. */
export function LinesSheet({ stands, view }: LinesSheetProps) {
  const units = useUnits();
  return (
    <>
      {stands.length > 1 && <Picker href="/water/lines" query="stand" rows={stands} chosen={view?.stand.id ?? null} />}
      {view ? (
        <>
          <Line key={`${view.stand.id} ${JSON.stringify(view.spec)}`} view={view} />
          <CatchCans
            key={view.stand.id}
            standId={view.stand.id}
            nominalFlowLph={view.spec.emitterFlowLph}
            lines={linesOf(view.spec)}
            runHoursPerDay={view.watering ? timerMinutes(view.watering.timer) / 60 : 0}
            tests={view.tests}
          />
        </>
      ) : (
        <Empty
          title="Nothing drips yet"
          example={inText(
            "Beds with drip lines and rows of buckets are looked at here, emitter by emitter: for instance six beds of {10 m} with two lines each, an emitter of {1.6 L/h} every {30 cm}.",
            units,
          )}
        />
      )}
    </>
  );
}

const HEAD_FROM: Readonly<Record<HeadAtLines["from"], string>> = {
  network: "The head is what the loop’s network leaves where the water goes into these lines, at its lowest water.",
  wanted: "The network brings no head to these lines as it is told; the head is what they are to have.",
};
const FRICTION = [
  { value: "darcy-weisbach", label: "Darcy–Weisbach" },
  { value: "hazen-williams", label: `Hazen–Williams, C ${SMALL_PE_C}` },
] as const;

function Line({ view: { stand, spec, head, waterC, watering } }: { readonly view: DripStandView }) {
  const preferences = useUnits();
  const measures = useMemo(() => lineMeasures(spec), [spec]);
  const givenM = head?.headM ?? USUAL_HEAD_M;
  const first = useMemo(() => firstTexts(spec, givenM, preferences), [spec, givenM, preferences]);
  const blanks = useBlanks(`draft:line:${stand.id}:${JSON.stringify(spec)}`, measures, first, preferences);
  const { good, problems } = blanks;
  const tried = useMemo(() => specOf(spec, good), [spec, good]);
  const triedHeadM = good[HEAD.name] ?? givenM;
  // The picture follows the hand; the table, which takes longer, a moment later.
  const compared = useDeferredValue(useMemo(() => ({ spec: tried, headM: triedHeadM }), [tried, triedHeadM]));
  const [friction, setFriction] = useState<FrictionLaw>("darcy-weisbach");
  const answer = useMemo(() => dripLine(tried, triedHeadM, friction, waterC), [tried, triedHeadM, friction, waterC]);
  const isOther = measures.some(({ name }) => name !== HEAD.name && tried[name as "kind"] !== spec[name as "kind"]);
  const save = useCommand(saveStand, { done: "Saved" });
  const isBed = tried.kind === "drip-beds";
  return (
    <>
      <Sentence problems={problems} size="line">
        A drip line of <MeasureBlank blanks={blanks} name="lateralBoreMm" /> bore, {isBed ? "an emitter" : "emitters"}{" "}
        of <MeasureBlank blanks={blanks} name="emitterFlowLph" />
        {isBed && (
          <>
            {" "}
            every <MeasureBlank blanks={blanks} name="emitterSpacingM" />
          </>
        )}
        ; its far end lies <MeasureBlank blanks={blanks} name="fallM" /> lower, and there is{" "}
        <MeasureBlank blanks={blanks} name={HEAD.name} /> of head at its inlet. Friction by{" "}
        <ChoiceBlank name="friction" label="Friction by" value={friction} options={FRICTION} onValue={setFriction} />.
      </Sentence>
      <p className="mt-1 text-sm text-soft">
        {head
          ? HEAD_FROM[head.from]
          : inText("Nothing says what head there is: {10 m} of water, 1 bar, is what most drip wants.", preferences)}
        {friction === "hazen-williams" &&
          " Hazen–Williams is quick and in most tables, but takes too little where water creeps in a thin line; what the loop’s pump gives is worked out by Darcy–Weisbach."}
      </p>
      <div className="mt-4 grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_21rem]">
        <div className={`min-w-0 ${problems.length > 0 ? "opacity-60" : ""}`}>
          {answer ? (
            <LineChart answer={answer} headM={triedHeadM} />
          ) : (
            <p className="text-lg">Not one emitter fits on this line: its spacing is longer than the line.</p>
          )}
          {tried.kind === "drip-beds" && answer && <BedFromAbove spec={tried} answer={answer} />}
          {watering && answer && <RunFigures spec={tried} answer={answer} {...watering} />}
        </div>
        <aside className="order-first wide:order-none">
          {answer && <LineFigures answer={answer} headM={triedHeadM} manufacturingCv={tried.manufacturingCv} />}
          <LineSliders blanks={blanks} isBed={isBed} />
          {isOther && (
            <Only right="plan">
              <div className="mt-4 flex flex-wrap gap-2">
                <Button
                  look="strong"
                  disabled={save.busy || problems.length > 0}
                  onClick={() => void save.run({ ...formValues(STAND, stand), spec: tried })}
                >
                  Keep this line
                </Button>
                <Button onClick={() => Object.entries(first).forEach(([name, text]) => blanks.type(name, text))}>
                  Put it back
                </Button>
              </div>
            </Only>
          )}
        </aside>
      </div>
      {compared.spec.kind === "drip-beds" && (
        <SpacingTable spec={compared.spec} headM={compared.headM} waterC={waterC} />
      )}
      {spec.kind === "drip-beds" && <PorousHose stand={stand} spec={spec} headM={compared.headM} waterC={waterC} />}
    </>
  );
}
