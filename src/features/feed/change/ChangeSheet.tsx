"use client";
import { useDeferredValue, useMemo, useState } from "react";
import { ruleOf, type LoopChangeRule } from "@/core/feed/changeRule";
import { tankDays, type TankDaysInput } from "@/core/feed/tankDays";
import { LOOP } from "@/core/garden/entities/water";
import type { Loop } from "@/core/garden/garden";
import { CHANGE_SCHOOLS, USUAL_HABITS, type NotFollowed } from "@/core/garden/keepOrChange";
import { number } from "@/core/place/kinds/shared";
import type { Day } from "@/core/units/day";
import { editText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { formValues } from "@/features/frame/form/formValues";
import { useCommand } from "@/features/frame/useCommand";
import { saveLoop } from "@/server/water/actions";
import { Sentence } from "@/ui/blank/Sentence";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { useUnits } from "@/ui/units";
import { ChangeChart } from "./ChangeChart";
import { Discharge } from "./Discharge";
import { SchoolRow } from "./SchoolRow";

export interface ChangeSheetProps {
  readonly today: Day;
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: Loop | null;
  readonly input: TankDaysInput | NotFollowed | null;
}

const WHY_NOT: Readonly<Record<NotFollowed, string>> = {
  "runs-to-waste": "This loop runs to waste: its solution never comes back.",
  "no-recipe": "This loop has no recipe yet: choose one under Water, and the schools are set side by side here.",
  "no-strength": "No strength of the recipe gives the wanted EC with this water: see the Recipe sheet.",
  "ions-not-told":
    "This loop is fed by a label that does not tell what is in it: what plants take out and what gathers cannot be followed. Change it every so many weeks; under Shelf the content can be filled in.",
  "nothing-drinks":
    "Nothing drinks from this loop in the days ahead: plan batches, and the schools are set side by side here.",
};

/** The schools of keeping or changing a solution, on this loop's own plants, water and plan; one is chosen. */
export function ChangeSheet({ today, loops, loop, input }: ChangeSheetProps) {
  return (
    <>
      {loops.length > 1 && <Picker href="/feed/change" query="loop" rows={loops} chosen={loop?.id ?? null} />}
      {loop && input !== null ? (
        typeof input === "string" ? (
          <p className="text-xl">{WHY_NOT[input]}</p>
        ) : (
          <Schools key={JSON.stringify(loop.changeRule)} today={today} loop={loop} input={input} />
        )
      ) : (
        <Empty
          title="No water goes round yet"
          example="Loops whose water comes back to the tank are followed here: changed each week, every four weeks, when a tank of water has been topped up, when sodium passes a limit, or never."
        />
      )}
    </>
  );
}

const MEASURES = [
  number("saltShare", "Of the sodium and chloride in the tank plants take", "share", 0, 1),
  number("minutesPerDay", "A day’s care takes", "minutes", 0, 600),
  number("minutesPerChange", "A change takes", "minutes", 0, 6000),
];

interface SchoolsProps {
  readonly today: Day;
  readonly loop: Loop;
  readonly input: TankDaysInput;
}

function Schools({ today, loop, input }: SchoolsProps) {
  const units = useUnits();
  const first = useMemo(
    () =>
      Object.fromEntries(
        MEASURES.map(({ name, dimension }) => [
          name,
          editText(USUAL_HABITS[name as keyof typeof USUAL_HABITS], dimension, units),
        ]),
      ),
    [units],
  );
  const blanks = useBlanks("draft:change-habits", MEASURES, first, units);
  const [rules, setRules] = useState(() => withOwn(loop.changeRule));
  const [looked, setLooked] = useState(() => rules.findIndex((rule) => isSame(rule, loop.changeRule)));
  const save = useCommand(saveLoop, { done: "Chosen" });
  const asked = useDeferredValue(useMemo(() => ({ rules, habits: blanks.good }), [rules, blanks.good]));
  const answers = useMemo(() => {
    const habits = { ...USUAL_HABITS, ...asked.habits };
    const own: TankDaysInput = {
      ...input,
      uptakeShare: { Na: habits.saltShare, Cl: habits.saltShare },
      ...{ minutesPerDay: habits.minutesPerDay, minutesPerChange: habits.minutesPerChange },
    };
    return asked.rules.map((rule) => ({ rule, days: tankDays(own, ruleOf(rule)) }));
  }, [input, asked]);
  const shown = answers[Math.max(0, looked)] ?? answers[0]!;
  return (
    <>
      <Sentence problems={blanks.problems} size="line">
        Of the sodium and chloride in the tank, plants take <MeasureBlank blanks={blanks} name="saltShare" /> with the
        water they drink. A day’s care takes <MeasureBlank blanks={blanks} name="minutesPerDay" />, a change{" "}
        <MeasureBlank blanks={blanks} name="minutesPerChange" />.
      </Sentence>
      <div className="relative mt-4 overflow-x-auto">
        <table className="w-full min-w-[62rem] text-right [&_td]:whitespace-nowrap [&_td]:pl-3 [&_th]:pl-3 [&_th:first-child]:pl-0">
          <thead>
            <tr className="border-b-2 border-ink align-bottom">
              <th className="py-1 text-left">The solution is</th>
              <th>Changes</th>
              <th>Water</th>
              <th>Salts</th>
              <th>Let out</th>
              <th>Most sodium</th>
              <th>Most chloride</th>
              <th>Days outside the EC band</th>
              <th>Work</th>
              <th>
                <span className="sr-only">Choose</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {answers.map(({ rule, days }, at) => (
              <SchoolRow
                key={at}
                rule={rule}
                days={days}
                isChosen={isSame(rule, loop.changeRule)}
                isLooked={at === looked}
                busy={save.busy}
                onRule={(next) => setRules((now) => now.map((one, index) => (index === at ? next : one)))}
                onLook={() => setLooked(at)}
                onChoose={() => void save.run({ ...formValues(LOOP, loop), changeRule: rules[at] })}
              />
            ))}
          </tbody>
        </table>
      </div>
      <ChangeChart today={today} answers={answers} looked={Math.max(0, looked)} low={input.ecLow} high={input.ecHigh} />
      <Discharge days={shown.days} litresOfTank={input.tankL} />
      <p className="mt-2 text-sm text-soft">
        {answers[0]!.days.ecMsPerCm.length} days from today, by what the plan drinks; topped up with feed of the
        recipe’s strength; what plants take with each litre is as their stages tell, else as they are fed. Bicarbonate
        is taken to be neutralised.
      </p>
    </>
  );
}

const isSame = (one: LoopChangeRule, other: LoopChangeRule) => JSON.stringify(one) === JSON.stringify(other);

/** The schools, that of the loop with its own figures. */
function withOwn(own: LoopChangeRule): readonly LoopChangeRule[] {
  if (CHANGE_SCHOOLS.some((rule) => isSame(rule, own))) return CHANGE_SCHOOLS;
  // Of two that change by weeks the longer one is the one with a figure.
  const at = CHANGE_SCHOOLS.map(({ kind }) => kind).lastIndexOf(own.kind);
  return CHANGE_SCHOOLS.map((rule, index) => (index === at ? own : rule));
}
