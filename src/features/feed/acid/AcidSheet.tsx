"use client";
import { useMemo, useState } from "react";
import { acidForWater } from "@/core/feed/acidForWater";
import { CAUTIONS } from "@/core/feed/cautions";
import type { LearnedResponse } from "@/core/feed/learnedResponse";
import { isForKeepers, TANK_ACIDS, type TankAcid } from "@/core/feed/phDose";
import { acidStrengthOf } from "@/core/garden/slipOf";
import type { Loop, StockTankRow } from "@/core/garden/garden";
import { number } from "@/core/place/kinds/shared";
import { editText, formatNumber, quantityText } from "@/core/units/format";
import type { UnitPreferences } from "@/core/units/dimensions";
import { MeasureBlank } from "@/features/frame/blank/MeasureBlank";
import { useBlanks } from "@/features/frame/blank/useBlanks";
import { useMay } from "@/features/frame/who";
import { ChoiceBlank } from "@/ui/blank/Blank";
import { Sentence } from "@/ui/blank/Sentence";
import { CautionNote } from "@/ui/Caution";
import { Picker } from "@/ui/Picker";
import { MAY_STAY_MEQ } from "@/core/garden/feedWater";
import { SecondWord } from "@/ui/SecondWord";
import { acidDanger } from "@/core/feed/acidDanger";
import { PrintButton } from "@/ui/PrintButton";
import { useUnits } from "@/ui/units";
import { acidDangerWords, acidName } from "../words";
import { AcidDose } from "./AcidDose";

export interface AcidWater {
  readonly name: string;
  readonly alkalinityMgCaco3PerL: number;
  readonly ph: number;
  /** The source tells its pH; else it is a guess to begin with. */
  readonly tellsPh: boolean;
}

export interface AcidSheetProps {
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loop: Loop;
  readonly water: AcidWater;
  readonly targetPh: number;
  /** What the recipe has room for, mg/L; null without a recipe. */
  readonly room: Readonly<Record<"NO3-N" | "P" | "S", number>> | null;
  readonly stocks: readonly StockTankRow[];
  readonly response: LearnedResponse | null;
  /** What buffers its solution besides carbonate; null without a recipe. */
  readonly buffers: { readonly phosphorusMmolPerL: number; readonly ammoniumMmolPerL: number } | null;
}

const MEASURES = [
  number("alkalinity", "Alkalinity, as CaCO₃", "concentration", 0, 2500),
  number("ph", "pH", "ph", 3, 11),
  number("targetPh", "pH wanted", "ph", 4, 8),
  number("massPercent", "Strength of the acid", "ratio", 1, 100),
  number("density", "Density, kg a litre", "ratio", 0.9, 2),
  number("waterC", "Temperature", "temperature", 0, 40),
];
/** Where somebody measured it: in what comes in, or in what goes round. */
const MEASURED_IN = [
  { value: "source", label: "the source water" },
  { value: "tank", label: "the tank" },
] as const;

/** Acid for the water of a loop: in a round amount, in its tank, in a stock; what it brings, and what comes later. */
export function AcidSheet({ loops, loop, water, targetPh, room, stocks, response, buffers }: AcidSheetProps) {
  const units = useUnits();
  const own = acidStrengthOf(loop) ?? TANK_ACIDS[loop.acid];
  const [acid, setAcid] = useState<TankAcid>(loop.acid);
  const [measuredIn, setMeasuredIn] = useState<(typeof MEASURED_IN)[number]["value"]>("source");
  const isKeeper = useMay("keep");
  const bottle = acid === loop.acid ? own : TANK_ACIDS[acid];
  const first = useMemo(
    () => ({
      alkalinity: editText(water.alkalinityMgCaco3PerL, "concentration", units),
      ph: editText(water.ph, "ph", units),
      targetPh: editText(targetPh, "ph", units),
      massPercent: String(bottle.massPercent),
      density: String(bottle.densityGPerMl),
      waterC: editText(20, "temperature", units),
    }),
    [water, targetPh, bottle, units],
  );
  const blanks = useBlanks(`draft:acid ${loop.id} ${acid}`, MEASURES, first, units);
  const { alkalinity = 0, ph = 7, targetPh: wanted = 6, massPercent = 38, density = 1, waterC = 20 } = blanks.good;
  const isTank = measuredIn === "tank";
  const answer = acidForWater({
    ...{ alkalinityMgCaco3PerL: alkalinity, ph, targetPh: wanted, acid, massPercent, densityGPerMl: density },
    waterC,
    ...(isTank && buffers),
    leaveMeqPerL: !isTank && loop.kind === "run-to-waste" ? MAY_STAY_MEQ : null,
  });
  const isStrong = isForKeepers(acid, massPercent);
  const danger =
    answer === "not-carbonate"
      ? null
      : acidDanger({ acid, massPercent, volumeL: loop.normalFillL, meqPerL: answer.meqPerL });
  return (
    <>
      <Picker href="/feed/acid" query="loop" rows={loops} chosen={loop.id} />
      <Sentence problems={blanks.problems} size="line">
        Measured in{" "}
        <ChoiceBlank
          name="measuredIn"
          label="Measured in"
          value={measuredIn}
          options={MEASURED_IN}
          onValue={setMeasuredIn}
        />{" "}
        at <MeasureBlank blanks={blanks} name="waterC" />, {isTank ? "the solution" : water.name.toLowerCase()} has an
        alkalinity of <MeasureBlank blanks={blanks} name="alkalinity" /> as CaCO₃ and pH{" "}
        <MeasureBlank blanks={blanks} name="ph" />. To bring it to pH <MeasureBlank blanks={blanks} name="targetPh" /> I
        have{" "}
        <ChoiceBlank
          name="acid"
          label="Acid"
          value={acid}
          options={(Object.keys(TANK_ACIDS) as TankAcid[]).map((one) => ({
            value: one,
            label: `${one} acid`,
          }))}
          onValue={setAcid}
        />
        {acid !== "citric" && (
          <>
            {" "}
            of <MeasureBlank blanks={blanks} name="massPercent" /> % by mass,{" "}
            <MeasureBlank blanks={blanks} name="density" /> kg a litre
          </>
        )}
        .
      </Sentence>
      {isTank && buffers && (
        <p className="text-soft">
          The kit counts the phosphate of the feed too; phosphate and ammonium are taken from the recipe at its
          strength.
        </p>
      )}
      {!isTank && !water.tellsPh && (
        <p className="text-soft">
          The source does not tell its pH: 7.5 is a guess. CO₂ leaves on the way to the bench: measure it on the spot.
        </p>
      )}
      {answer === "not-carbonate" ? (
        <p role="alert" className="mt-4 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
          An alkalinity of {formatNumber(alkalinity)} mg/L cannot have pH {formatNumber(ph, 1)}: one of the two is
          wrong, or the alkalinity is told in another unit (meq/L × 50, °dH × 17.8).
        </p>
      ) : isStrong && !isKeeper ? (
        <p className="mt-4 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
          {acidName(acid, massPercent)} is for a keeper: ask one, or take the usual bottle of{" "}
          {TANK_ACIDS[acid].massPercent} %.
        </p>
      ) : (
        <SecondWord why={danger && acidDangerWords(danger, units)} confirm="I have read it: show the dose">
          <AcidDose {...{ answer, acid, massPercent, loop, room, stocks, units, isTank }} wanted={wanted} />
        </SecondWord>
      )}
      <Learned response={response} loop={loop} units={units} />
      <div className="mt-6 max-w-2xl space-y-2">
        <CautionNote {...CAUTIONS.acid} />
        {(acid === "nitric" || acid === "sulfuric") && <CautionNote {...CAUTIONS.strongAcid} />}
      </div>
      <PrintButton label="Print" />
    </>
  );
}

function Learned({
  response,
  loop,
  units,
}: {
  readonly response: LearnedResponse | null;
  readonly loop: Loop;
  readonly units: UnitPreferences;
}) {
  const text = (amount: number) =>
    loop.acid === "citric" ? quantityText(amount, "mass", units) : quantityText(amount / 1000, "dose", units);
  return (
    <section aria-label="What this tank has taught" className="mt-6">
      <h2 className="text-2xl">What this tank has taught</h2>
      <p className="max-w-prose">
        {response
          ? `By its last ${response.pairs} doses it takes ${text(response.median)} for 100 L and a tenth of pH (${text(response.least)} to ${text(response.greatest)}). Slips of its readings go by that, and say what is worked out beside it.`
          : "Fewer than three doses of this acid with a reading within three hours after them are in the log: slips go by what is worked out."}
      </p>
    </section>
  );
}
