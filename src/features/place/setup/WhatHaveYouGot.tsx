"use client";
import { X } from "lucide-react";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { setUp, type SetUp } from "@/core/garden/setup/setUp";
import { setUpFigures } from "@/core/garden/setup/figures";
import { tankSpot } from "@/core/garden/setup/tankSpot";
import { PLACE_KIND_NAMES, type PlaceKind } from "@/core/garden/setup/told";
import { standFlow } from "@/core/place/standFlow";
import { TOLD_KIND_NAMES, toldKind, toldSpec } from "@/core/place/told/kinds";
import { quantityText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { NoLabel } from "@/features/frame/blank/NoLabel";
import { TimerSentence } from "@/features/frame/blank/TimerSentence";
import { ToldSentence } from "@/features/frame/blank/ToldSentence";
import type { Blanks } from "@/features/frame/blank/useBlanks";
import { useDraft } from "@/features/frame/drafts";
import { StandsPicture } from "@/features/frame/plan/StandsPicture";
import { useCommand } from "@/features/frame/useCommand";
import { makeSetup } from "@/server/place/setup";
import { Button } from "@/ui/Button";
import { ChoiceBlank, TextBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { UnitsProvider, useUnits } from "@/ui/units";
import { noRoomWords } from "../words";
import { FirstAnswers } from "./FirstAnswers";
import { KindDrawing } from "./KindDrawing";
import {
  addStands,
  hasProblems,
  leaveIn,
  measuresOf,
  pickPump,
  removeStands,
  setTimerMode,
  setupOf,
  setYoung,
  startSetup,
  typeInto,
  type SetupState,
} from "./setupState";

const PLACES = PLACE_KIND_NAMES.map((value) => ({ value, label: value }));
/** Trays stand where they are raised; of all else it is asked whether it is for young plants. */
const hasUse = (kind: string) => kind !== "seedTrays" && kind !== "shootTrays";
const USES = [
  { value: "finish", label: "to finish" },
  { value: "young", label: "for young plants" },
] as const;

/** A first garden, or a new place: told in sentences, drawn while it is told, made with one press. */
export function WhatHaveYouGot({
  latitudeDeg,
  houseNames,
}: {
  readonly latitudeDeg: number;
  readonly houseNames: readonly string[];
}) {
  const router = useRouter();
  const units = useUnits();
  const [state, change, forget] = useDraft<SetupState>("setup", () => startSetup(units));
  const [refused, setRefused] = useState<string | null>(null);
  const { run, busy } = useCommand(makeSetup, { done: "Made" });
  const blanksOf = (sentence: string): Blanks => ({
    ...state.blanks[sentence]!,
    measures: measuresOf(state, sentence),
    type: (name, text) => change(typeInto(state, sentence, name, text)),
    leave: (name) => change(leaveIn(state, sentence, name)),
  });
  const setup = useMemo(() => setupOf(state), [state]);
  const made = useMemo(() => (setup.stands.length > 0 ? setUp({}, setup) : null), [setup]);
  const figures = useMemo(() => made && setUpFigures(made, setup.timer), [made, setup.timer]);
  const tank = useMemo(() => (made && setup.tank ? tankIn(made, setup.tank.litres) : null), [made, setup.tank]);
  const isPlumbed = setup.stands.some(({ told, figures: own }) => standFlow(toldSpec(told, own)).lineFlowLph > 0);
  const make = async () => {
    const result = await run(setup);
    setRefused(result.ok ? null : result.message);
    if (!result.ok) return;
    forget();
    router.push(`/place?house=${result.value.houseId}`);
  };
  const blank = (sentence: string, name: string, placeholder?: string) => (
    <MeasureBlank blanks={blanksOf(sentence)} name={name} placeholder={placeholder} />
  );
  const problemsOf = (sentence: string) => state.blanks[sentence]?.problems ?? [];
  const doubled = houseNames.includes(state.name.trim());
  return (
    <UnitsProvider units={state.units}>
      <div role="group" aria-label="Kinds of stands" className="mb-4 flex flex-wrap gap-2">
        {TOLD_KIND_NAMES.map((kind) => (
          <button
            key={kind}
            type="button"
            className="sign min-w-[5.3rem] rounded border-2 border-rule bg-sheet px-1 pb-1 pt-2 text-base hover:border-ink"
            onClick={() => change(addStands(state, kind))}
          >
            <KindDrawing kind={kind} />
            <span className="sr-only">Add </span>
            {toldKind(kind).name}
          </button>
        ))}
      </div>
      <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)]">
        <div className="min-w-0 divide-y divide-rule">
          <div className="pb-1">
            <Sentence size="line" problems={problemsOf("place")}>
              A{" "}
              <ChoiceBlank<PlaceKind>
                name="kind"
                label="Place"
                value={state.placeKind}
                options={PLACES}
                onValue={(placeKind) => change({ ...state, placeKind })}
              />{" "}
              of {blank("place", "lengthM", "as long")} by {blank("place", "widthM", "as wide as it takes")}, called{" "}
              <TextBlank
                name="name"
                label="Name of the place"
                value={state.name}
                placeholder={state.placeKind}
                onValue={(name) => change({ ...state, name })}
              />
            </Sentence>
            {doubled && <p className="text-soft">There is a house of this name: it will get a number.</p>}
          </div>
          {state.lines.map((line) => (
            <div key={line.key} className="flex items-baseline justify-between gap-3 py-1">
              <div>
                <Sentence size="line" problems={problemsOf(`stand ${line.key}`)}>
                  <ToldSentence
                    kind={line.kind}
                    blanks={blanksOf(`stand ${line.key}`)}
                    more={line.kind === "buckets"}
                    mark={hasUse(line.kind) ? "," : ""}
                  />
                  {hasUse(line.kind) && (
                    <>
                      {" "}
                      <ChoiceBlank
                        name="use"
                        label="Used"
                        value={line.young ? "young" : "finish"}
                        options={USES}
                        onValue={(use) => change(setYoung(state, line.key, use === "young"))}
                      />
                    </>
                  )}
                </Sentence>
              </div>
              <button
                type="button"
                className="grid size-11 shrink-0 place-items-center self-center"
                aria-label={`Take out ${toldKind(line.kind).name}`}
                title="Take out"
                onClick={() => change(removeStands(state, line.key))}
              >
                <X aria-hidden className="size-5" />
              </button>
            </div>
          ))}
          {isPlumbed && (
            <>
              <div className="py-1">
                <Sentence size="line" problems={problemsOf("tank")}>
                  One tank of {blank("tank", "litres", "how much?")}, {blank("tank", "underOutletsM")} under the outlets
                </Sentence>
              </div>
              <div className="py-1">
                <Sentence size="line" problems={problemsOf("pump")}>
                  The pump’s label says {blank("pump", "flowAtNoLiftLph", "flow at no lift")} and{" "}
                  {blank("pump", "greatestLiftM", "greatest lift")}
                  <NoLabel units={state.units} onPick={(pump) => change(pickPump(state, pump))} />
                </Sentence>
              </div>
              <div className="py-1">
                <Sentence size="line" problems={problemsOf("timer")}>
                  It runs{" "}
                  <TimerSentence
                    mode={state.timerMode}
                    blanks={blanksOf("timer")}
                    onMode={(mode) => change(setTimerMode(state, mode))}
                  />
                </Sentence>
              </div>
            </>
          )}
          <div className="flex flex-wrap items-center gap-3 pt-4">
            <Button
              look="go"
              disabled={busy || !made || hasProblems(state) || made.noRoom.length > 0}
              onClick={() => void make()}
            >
              Make this place
            </Button>
            {state.lines.length === 0 && <p className="text-soft">Pick above what you grow in.</p>}
            {state.lines.length > 0 && (
              <Button look="quiet" onClick={() => change(startSetup(units, state.placeKind))}>
                Start over
              </Button>
            )}
          </div>
          {refused && (
            <p role="alert" className="mt-3 border-0 font-bold text-alarm">
              {refused}
            </p>
          )}
        </div>
        <div className="min-w-0">
          {made && figures ? (
            <>
              {made.noRoom.map((stand) => (
                <p
                  key={stand.stand}
                  role="alert"
                  className="mb-2 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold"
                >
                  {noRoomWords(stand, state.units)}
                </p>
              ))}
              <StandsPicture
                stands={made.stands.map((stand, index) => ({ id: index, ...stand }))}
                house={made.house}
                label={`${made.house.name} with ${made.stands.map(({ name }) => name.toLowerCase()).join(", ")}, to scale`}
                lengthWords={`${quantityText(made.house.lengthM, "length", state.units)} by ${quantityText(made.house.widthM, "length", state.units)}`}
                tank={tank && { ...tank, words: quantityText(setup.tank!.litres, "volume", state.units) }}
                mostPx={320}
              />
              <FirstAnswers made={made} figures={figures} latitudeDeg={latitudeDeg} units={state.units} />
            </>
          ) : (
            <div className="grid min-h-60 place-items-center border-2 border-dashed border-rule px-6 text-center text-soft">
              The place is drawn here to scale while you tell what you have, and the first answers stand below it.
            </div>
          )}
        </div>
      </div>
    </UnitsProvider>
  );
}

const FROM_WALL_M = 0.12;

/** Its tank in the picture, where there is something to water. */
function tankIn(made: SetUp, litres: number) {
  const waters = made.stands
    .map((stand, index) => ({ id: index, ...stand }))
    .filter(({ spec }) => standFlow(spec).lineFlowLph > 0);
  const pipeYM = Math.max(0, made.house.widthM - FROM_WALL_M);
  return waters.length > 0 ? { spot: tankSpot(made, litres), pipeYM, waters } : null;
}
