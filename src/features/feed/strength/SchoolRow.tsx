"use client";
import type { SharedEc } from "@/core/feed/sharedEc";
import type { StrengthSchool } from "@/core/feed/strengthSchool";
import { quantityText } from "@/core/units/format";
import { QuantityBlank } from "@/ui/blank/Blank";
import { useUnits } from "@/ui/units";
import { SchoolButtons } from "../SchoolButtons";

/** A school with what it comes to. */
export interface Judged {
  readonly school: StrengthSchool;
  readonly ecMsPerCm: number | null;
  readonly lacks: "plants" | "bands" | null;
  readonly outside: Omit<SharedEc, "from" | "to"> | null;
}

interface SchoolRowProps {
  readonly judged: Judged;
  readonly isChosen: boolean;
  readonly isLooked: boolean;
  readonly busy: boolean;
  readonly onSchool: (school: StrengthSchool) => void;
  readonly onLook: () => void;
  readonly onChoose: () => void;
}

/** What each school costs. */
const COSTS: Readonly<Record<StrengthSchool["kind"], string>> = {
  constant: "Least work. Seedlings get more than they want, and in dark months leaves stay soft.",
  age: "A tank shared by ages still has one strength: it follows the age of most of its plants, and moves with each sowing.",
  season: "Follows the sun, not the weather: a hot spell in spring wants it weaker than it says.",
  bands: "Crops that are few are left outside; their bands have to be told under Growth.",
};

/** One school: its figures, what it comes to today, and whom it leaves outside. */
export function SchoolRow({ judged, isChosen, isLooked, busy, onSchool, onLook, onChoose }: SchoolRowProps) {
  const units = useUnits();
  const { school, ecMsPerCm, lacks, outside } = judged;
  return (
    <li
      className={`grid gap-x-6 gap-y-1 border-t border-rule px-2 py-3 lg:grid-cols-[minmax(0,1fr)_8rem_14rem_11rem] ${isLooked ? "bg-water-pale" : ""}`}
    >
      <div>
        <p className={`text-lg ${isChosen ? "font-bold" : ""}`}>
          <SchoolWords school={school} onSchool={onSchool} />
          {isChosen && <b> · this loop</b>}
        </p>
        <p className="text-sm text-soft">{COSTS[school.kind]}</p>
      </div>
      <p className="figure">{ecMsPerCm === null ? "–" : quantityText(ecMsPerCm, "ec", units)}</p>
      <p className={outside && outside.plantsOutside > 0 ? "text-alarm" : "text-soft"}>
        {ecMsPerCm === null
          ? lacks === "plants"
            ? "Nothing stands there today: the recipe’s strength is kept."
            : "No crop that stands there tells its band: the recipe’s strength is kept."
          : !outside || outside.plants === 0
            ? "No crop in the weeks ahead tells its band."
            : outside.plantsOutside === 0
              ? "Nobody is outside."
              : `${outside.outside.map(({ name }) => name).join(", ")} outside: ${Math.round((100 * outside.plantsOutside) / outside.plants)} % of the plant-days`}
      </p>
      <span className="flex items-start gap-1 lg:justify-end">
        <SchoolButtons {...{ isChosen, isLooked, busy, onLook, onChoose }} />
      </span>
    </li>
  );
}

function SchoolWords({
  school,
  onSchool,
}: {
  readonly school: StrengthSchool;
  readonly onSchool: (school: StrengthSchool) => void;
}) {
  const blank = (
    label: string,
    dimension: "ec" | "days",
    value: number,
    [least, greatest]: readonly [number, number],
    set: (value: number) => StrengthSchool,
  ) => (
    <QuantityBlank
      name={label}
      label={label}
      dimension={dimension}
      value={value}
      onValue={(next) => typeof next === "number" && onSchool(set(Math.min(greatest, Math.max(least, next))))}
    />
  );
  const ec = [0.05, 10] as const;
  switch (school.kind) {
    case "constant":
      return "always as strong as the recipe";
    case "bands":
      return "what suits most of the crops that share the tank";
    case "age":
      return (
        <>
          from {blank("EC for seedlings", "ec", school.ecAtStart, ec, (ecAtStart) => ({ ...school, ecAtStart }))} for
          seedlings to{" "}
          {blank("EC for grown plants", "ec", school.ecAtMaturity, ec, (ecAtMaturity) => ({ ...school, ecAtMaturity }))}{" "}
          after{" "}
          {blank("Grown after", "days", school.maturityDays, [1, 400], (maturityDays) => ({ ...school, maturityDays }))}
        </>
      );
    case "season":
      return (
        <>
          {blank("EC on the brightest days", "ec", school.ecBright, ec, (ecBright) => ({ ...school, ecBright }))} on the
          brightest days,{" "}
          {blank("EC on the darkest days", "ec", school.ecDark, ec, (ecDark) => ({ ...school, ecDark }))} on the darkest
        </>
      );
  }
}
