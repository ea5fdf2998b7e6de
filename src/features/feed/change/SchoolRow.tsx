"use client";
import type { LoopChangeRule } from "@/core/feed/changeRule";
import type { TankDays } from "@/core/feed/tankDays";
import { ATOMIC_WEIGHT_G_PER_MOL as WEIGHT, type Ion } from "@/core/feed/nutrients";
import { formatNumber, quantityText } from "@/core/units/format";
import { QuantityBlank } from "@/ui/blank/Blank";
import { useUnits } from "@/ui/units";
import { SchoolButtons } from "../SchoolButtons";

interface SchoolRowProps {
  readonly rule: LoopChangeRule;
  readonly days: TankDays;
  readonly isChosen: boolean;
  readonly isLooked: boolean;
  readonly busy: boolean;
  readonly onRule: (rule: LoopChangeRule) => void;
  readonly onLook: () => void;
  readonly onChoose: () => void;
}

/** One school: what it takes, what it lets out, and what it leaves the plants in. */
export function SchoolRow({ rule, days, isChosen, isLooked, busy, onRule, onLook, onChoose }: SchoolRowProps) {
  const units = useUnits();
  const most = (values: Float64Array, weight: number) =>
    quantityText(values.reduce((one, other) => Math.max(one, other), 0) * weight, "concentration", units);
  const missing = starved(days);
  const all = days.ecMsPerCm.length;
  return (
    <tr
      className={`border-b border-rule ${isLooked ? "bg-water-pale" : ""} ${isChosen ? "font-bold" : ""}`}
      onClick={onLook}
    >
      <th scope="row" className="py-1.5 text-left font-normal">
        <RuleWords rule={rule} onRule={onRule} />
        {isChosen && <b> · this loop</b>}
        {missing.length > 0 && <b className="block text-sm text-alarm">runs out of {missing.join(", ")}</b>}
      </th>
      <td>{days.changeDays.length}</td>
      <td>{quantityText(days.waterL, "volume", units)}</td>
      <td>{quantityText(days.feedSaltsG, "mass", units)}</td>
      <td>{quantityText(days.dischargedL, "volume", units)}</td>
      <td>{most(days.sodiumMmolPerL, WEIGHT.Na)}</td>
      <td>{most(days.chlorideMmolPerL, WEIGHT.Cl)}</td>
      <td className={days.daysOutsideBand > all / 4 ? "text-alarm" : ""}>
        {days.daysOutsideBand} of {all}
      </td>
      <td>{formatNumber(days.minutes / 60)} h</td>
      <td>
        <span className="flex justify-end gap-1">
          <SchoolButtons {...{ isChosen, isLooked, busy, onLook, onChoose }} />
        </span>
      </td>
    </tr>
  );
}

/** Of what plants would have taken of a nutrient, less than this missing is nothing. */
const LEAST_MISSING = 0.01;

/** Nutrients that plants would have taken and did not find. */
function starved({ unmetShare }: TankDays): string[] {
  return (Object.entries(unmetShare) as [Ion, number][])
    .filter(([, share]) => share > LEAST_MISSING)
    .map(([ion]) =>
      ion === "H2PO4" ? "P" : ion === "NO3" || ion === "NH4" ? `N (${ion})` : ion === "SO4" ? "S" : ion,
    );
}

function RuleWords({
  rule,
  onRule,
}: {
  readonly rule: LoopChangeRule;
  readonly onRule: (rule: LoopChangeRule) => void;
}) {
  const blank = (
    label: string,
    dimension: "count" | "ratio" | "concentration",
    value: number,
    set: (value: number) => LoopChangeRule,
  ) => (
    <QuantityBlank
      name={label}
      label={label}
      dimension={dimension}
      value={value}
      onValue={(next) => typeof next === "number" && next > 0 && onRule(set(next))}
    />
  );
  switch (rule.kind) {
    case "never":
      return "topped up only, never changed";
    case "weeks":
      return rule.weeks === 1 ? (
        "changed every week"
      ) : (
        <>
          changed every{" "}
          {blank("Weeks", "count", rule.weeks, (weeks) => ({
            ...rule,
            weeks: Math.min(52, Math.max(1, Math.round(weeks))),
          }))}{" "}
          weeks
        </>
      );
    case "topped-up":
      return (
        <>
          changed when{" "}
          {blank("Tanks topped up", "ratio", rule.tanks, (tanks) => ({
            ...rule,
            tanks: Math.min(50, Math.max(0.1, tanks)),
          }))}{" "}
          tanks were topped up
        </>
      );
    case "limits":
      return (
        <>
          changed at{" "}
          {blank("Sodium limit", "concentration", rule.sodiumMgPerL, (sodiumMgPerL) => ({
            ...rule,
            sodiumMgPerL: Math.min(5000, Math.max(1, sodiumMgPerL)),
          }))}{" "}
          of sodium or{" "}
          {blank("Chloride limit", "concentration", rule.chlorideMgPerL, (chlorideMgPerL) => ({
            ...rule,
            chlorideMgPerL: Math.min(5000, Math.max(1, chlorideMgPerL)),
          }))}{" "}
          of chloride
        </>
      );
  }
}
