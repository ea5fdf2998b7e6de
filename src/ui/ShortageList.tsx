"use client";
import { dayInWords } from "@/core/units/day";
import type { Dimension } from "@/core/units/dimensions";
import { Quantity } from "./units";
import { Why } from "./Why";

export interface ShortageView {
  readonly kind: "water" | "sites" | "salt";
  readonly name: string;
  readonly day: number;
  readonly amount: number;
  readonly dimension: Dimension;
}

function byHowMuch({ kind, amount }: ShortageView): string {
  if (kind === "sites") return amount === 1 ? "site over that day" : "sites over that day";
  return kind === "water" ? "short that day" : "to buy";
}

const HOW: Readonly<Record<ShortageView["kind"], string>> = {
  water:
    "What the plan's plants drink on that day (and what drains of run-to-waste loops), less what the sources give in their order and the store still holds.",
  sites:
    "Plants of the plan that stand in the growing area on that day and lines that are being cleaned, less its sites.",
  salt: "Litres of feed that the plan drinks × grams a litre of each recipe, less what is on the shelf and in the stock tanks.",
};

export interface ShortageListProps {
  readonly shortages: readonly ShortageView[];
  /** Whether any batch is in the ground or still to come. */
  readonly isPlanned: boolean;
  /** Loops whose plants drink, but whose salts are not known. */
  readonly loopsWithoutSalts: readonly string[];
  /** Whether plants drink that stand on no loop: what they get is counted as water without salts. */
  readonly byHand: boolean;
  /** Whether salts were counted for any plants. */
  readonly salted: boolean;
  /** Whether any plant drinks in the days ahead. */
  readonly drinks: boolean;
}

/** What is left out of the count, and what it would take. */
function leftOut({ loopsWithoutSalts, byHand, drinks }: ShortageListProps): string[] {
  if (!drinks)
    return [
      "Water and salts are not counted: no plant of the plan drinks, because its crop has no water a day. Enter it under Growth.",
    ];
  const words = [];
  if (loopsWithoutSalts.length > 0)
    words.push(
      `Salts for the ${loopsWithoutSalts.join(", ")} loop${loopsWithoutSalts.length === 1 ? "" : "s"} are not counted: no recipe with salts yet.`,
    );
  if (byHand) words.push("What is watered by hand is counted as water without salts.");
  return words;
}

/** What runs short, the first day of it, and by how much: the same three facts wherever they are shown. */
export function ShortageList(props: ShortageListProps) {
  const { shortages, isPlanned, drinks, salted, loopsWithoutSalts } = props;
  if (!isPlanned) return <p className="text-soft">Nothing is planned ahead, so there is nothing to count.</p>;
  const words = leftOut(props);
  const left = words.map((one) => (
    <p key={one} className="mt-2 text-sm text-soft">
      {one}
    </p>
  ));
  if (shortages.length === 0)
    return (
      <div>
        <p className="sign border-l-[6px] border-leaf bg-leaf-pale px-3 py-2 text-xl">
          {salted && loopsWithoutSalts.length === 0
            ? "Space, water and salts last for the whole plan."
            : drinks
              ? "Space and water last for the whole plan."
              : "Space lasts for the whole plan."}
        </p>
        {left}
      </div>
    );
  return (
    <div className="self-start">
      <table className="w-full">
        <caption className="sign pb-1 text-left text-2xl">First to run short</caption>
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal">from</th>
            <th className="font-normal">what</th>
            <th className="text-right font-normal">by how much</th>
          </tr>
        </thead>
        <tbody>
          {shortages.map((shortage, index) => (
            <tr
              key={`${shortage.kind}-${shortage.name}`}
              className={`border-t border-rule ${index === 0 ? "bg-alarm-pale" : ""}`}
            >
              <td className="sign whitespace-nowrap py-1.5 pl-2 pr-3 text-lg">{dayInWords(shortage.day, "year")}</td>
              <td className="py-1.5">{shortage.name}</td>
              <td className="py-1.5 pr-2 text-right">
                <span className="figure !text-xl">
                  <Why label={`${shortage.name}: by how much`} how={HOW[shortage.kind]}>
                    <Quantity value={shortage.amount} dimension={shortage.dimension} />
                  </Why>
                </span>{" "}
                <span className="text-sm text-soft">{byHowMuch(shortage)}</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {left}
    </div>
  );
}
