"use client";
import { useMemo, useState } from "react";
import { blendWaters } from "@/core/feed/blendWaters";
import type { Source } from "@/core/garden/garden";
import { number } from "@/core/place/kinds/shared";
import { formatNumber, quantityText } from "@/core/units/format";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { Figure } from "../Figure";

const MEASURES = [
  number("firstParts", "Parts of the first water", "ratio", 0, 1000),
  number("otherParts", "Parts of the other water", "ratio", 0, 1000),
];
const FIRST = { firstParts: "1", otherParts: "1" };

/** Two waters mixed by parts, and what comes of it. */
export function BlendSentence({ sources }: { readonly sources: readonly Source[] }) {
  const units = useUnits();
  const [first, setFirst] = useState(sources[0]!.id);
  const [other, setOther] = useState(sources[1]!.id);
  const blanks = useBlanks("draft:blend", MEASURES, FIRST, units);
  const { firstParts = 1, otherParts = 1 } = blanks.good;
  const [one, two] = [first, other].map((id) => sources.find((source) => source.id === id)!);
  const isNothing = firstParts + otherParts === 0;
  const blend = useMemo(
    () =>
      isNothing
        ? null
        : blendWaters([
            { water: one!, parts: firstParts },
            { water: two!, parts: otherParts },
          ]),
    [one, two, firstParts, otherParts, isNothing],
  );
  const options = sources.map(({ id, name }) => ({ value: id, label: name }));
  const mean =
    one!.ph === null || two!.ph === null || isNothing
      ? null
      : (firstParts * one!.ph + otherParts * two!.ph) / (firstParts + otherParts);
  return (
    <section className="mt-8">
      <h2 className="text-2xl">A blend</h2>
      <Sentence problems={blanks.problems} size="line">
        <MeasureBlank blanks={blanks} name="firstParts" /> parts of{" "}
        <ChoiceBlank name="first" label="First water" value={first} options={options} onValue={setFirst} /> to{" "}
        <MeasureBlank blanks={blanks} name="otherParts" /> of{" "}
        <ChoiceBlank name="other" label="Other water" value={other} options={options} onValue={setOther} />.
      </Sentence>
      {blend ? (
        <dl className="mt-2 grid max-w-4xl gap-x-10 sm:grid-cols-2">
          <Figure
            what="EC"
            figure={blend.ecMsPerCm === null ? "–" : quantityText(blend.ecMsPerCm, "ec", units)}
            note={blend.ecMsPerCm === null ? "one of them does not tell its EC" : undefined}
          />
          <Figure
            what="Alkalinity, as CaCO₃"
            figure={quantityText(blend.alkalinityMgCaco3PerL, "concentration", units)}
          />
          <div className="flex items-baseline justify-between gap-4 border-b border-rule py-1.5">
            <dt>
              pH
              <span className="block text-sm text-soft">
                {blend.ph === null
                  ? "one of them does not tell a pH that goes with its alkalinity"
                  : mean !== null && `not ${formatNumber(mean, 1)}: pH is not averaged`}
              </span>
            </dt>
            <dd className="sign text-xl">
              {blend.ph === null ? (
                "–"
              ) : (
                <Why
                  label="pH of the blend"
                  how="Alkalinity and total carbonate mix by volume; the pH is the one at which the carbonate carries the alkalinity. As it is mixed, in a closed tank: stirred in the air it rises as carbon dioxide leaves."
                  inputs={[
                    [one!.name, formatNumber(one!.ph!, 1)],
                    [two!.name, formatNumber(two!.ph!, 1)],
                  ]}
                >
                  {formatNumber(blend.ph, 1)}
                </Why>
              )}
            </dd>
          </div>
          {(["Na", "Cl"] as const).map((salt) => (
            <Figure
              key={salt}
              what={salt === "Na" ? "Sodium" : "Chloride"}
              figure={told(blend.analysisMgPerL[salt], blend.atLeast.includes(salt))}
            />
          ))}
        </dl>
      ) : (
        <p className="mt-2">Nothing is mixed: give one of them a part.</p>
      )}
    </section>
  );

  function told(mgPerL: number | undefined, isAtLeast: boolean) {
    if (mgPerL === undefined) return "not told";
    return `${isAtLeast ? "at least " : ""}${quantityText(mgPerL, "concentration", units)}`;
  }
}
