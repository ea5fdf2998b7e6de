"use client";
import { memo, useMemo, useState } from "react";
import { STAND } from "@/core/garden/entities/place";
import type { Stand } from "@/core/garden/garden";
import type { DripBeds } from "@/core/place/kinds/beds";
import { number } from "@/core/place/kinds/shared";
import { editText, formatNumber, percentText, quantityText } from "@/core/units/format";
import { inText, roundIn } from "@/core/units/rounded";
import { dripLine, GREATEST_EXPONENT, withPorousHose } from "@/core/water/dripLine";
import { outletOf } from "@/core/water/emitter";
import { porousHose, type PorousRefusal } from "@/core/water/porousHose";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { formValues } from "@/features/frame/form/formValues";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { saveStand } from "@/server/place/actions";
import { Sentence } from "@/ui/blank/Sentence";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";

const MEASURES = [
  number("firstLitres", "From a metre in ten minutes", "dose", 0, 100),
  number("firstHeadM", "At a head of", "length", 0.1, 100),
  number("secondLitres", "From a metre in ten minutes, the other time", "dose", 0, 100),
  number("secondHeadM", "At the other head", "length", 0.1, 100),
];
const MINUTES = 10;
const EXAMPLE = { firstLitres: 0.25, firstHeadM: 3, secondLitres: 0.55, secondHeadM: 7 };

const REFUSALS: Readonly<Record<PorousRefusal | "too-steep", string>> = {
  "equal-heads": "Both heads are the same: let it run once more with the tap further open, or the barrel fuller.",
  "no-water": "It gave no water at one of the heads: it tells nothing of what is between.",
  "less-at-more-head":
    "It gave less at the higher head: the two cups may be swapped, or dirt came in between. Measure again.",
  "too-steep": "It gave so much more at the higher head that no hose does: measure again, ten minutes each.",
};

/** A porous hose has no emitters to count: it is known by what one metre gives at two heads. */
export const PorousHose = memo(function PorousHose({
  stand,
  spec,
  headM,
  waterC,
}: {
  readonly stand: Stand;
  readonly spec: DripBeds;
  readonly headM: number;
  readonly waterC?: number;
}) {
  const units = useUnits();
  const [first] = useState(() =>
    Object.fromEntries(
      MEASURES.map(({ name, dimension }) => [
        name,
        editText(roundIn(EXAMPLE[name as keyof typeof EXAMPLE], dimension, units), dimension, units),
      ]),
    ),
  );
  const blanks = useBlanks(`draft:hose:${stand.id}`, MEASURES, first, units);
  const { good, problems } = blanks;
  const hose = useMemo(() => {
    const found = porousHose({ ...EXAMPLE, ...good, minutes: MINUTES });
    return typeof found === "object" && found.exponent > GREATEST_EXPONENT ? "too-steep" : found;
  }, [good]);
  const save = useCommand(saveStand, { done: "Saved" });
  const laid = useMemo(() => (typeof hose === "object" ? withPorousHose(spec, hose) : null), [spec, hose]);
  const answer = useMemo(() => laid && dripLine(laid, headM, "darcy-weisbach", waterC), [laid, headM, waterC]);
  return (
    <details className="mt-8">
      <summary className="min-h-11 cursor-pointer">
        <span className="sign text-2xl">A porous hose in its place</span>
      </summary>
      <Sentence problems={problems} size="line">
        One metre of it, ten minutes in a cup: <MeasureBlank blanks={blanks} name="firstLitres" /> at{" "}
        <MeasureBlank blanks={blanks} name="firstHeadM" /> of head, <MeasureBlank blanks={blanks} name="secondLitres" />{" "}
        at <MeasureBlank blanks={blanks} name="secondHeadM" />.
      </Sentence>
      {typeof hose === "string" ? (
        <p role="alert" className="mt-2 font-bold text-alarm">
          {REFUSALS[hose]}
        </p>
      ) : (
        <p className="mt-2">
          Its flow goes with the head to the power of {formatNumber(hose.exponent, 2)}: at{" "}
          {quantityText(headM, "length", units)} a metre gives{" "}
          <b>{quantityText(outletOf(hose)(headM).flowLph, "flow", units)}</b>
          {answer &&
            `, a line of this bed ${quantityText(answer.flow.totalLph, "flow", units)}, and the flow varies by ${percentText(answer.uniformity.flowVariation)} along it`}
          .
        </p>
      )}
      {laid && (
        <Only right="plan">
          <div className="mt-3">
            <Button
              disabled={save.busy || problems.length > 0}
              onClick={() => void save.run({ ...formValues(STAND, stand), spec: laid })}
            >
              Lay it in these beds
            </Button>
          </div>
        </Only>
      )}
      <p className="mt-2 text-sm text-soft">
        {inText("It is laid out as a weep every {10 cm}, so that the ground is wet all along.", units)} Hose clogs with
        age: test it each spring.
      </p>
    </details>
  );
});
