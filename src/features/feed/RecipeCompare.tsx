"use client";
import { useState } from "react";
import { factorForEc, recipeFacts } from "@/core/feed/compareRecipes";
import { AIMS, type Aim } from "@/core/feed/recipeWish";
import { RECIPE_LIBRARY } from "@/core/feed/library";
import type { Recipe } from "@/core/garden/garden";
import { formatNumber, percentText, quantityText } from "@/core/units/format";
import { ChoiceBlank, QuantityBlank } from "@/ui/blank/Blank";
import { useUnits } from "@/ui/units";
import { amount } from "./BroughtBar";

type Compared = Pick<Recipe, "name" | "targetsMgPerL">;

/** Two recipes side by side, as they are written or both brought to one EC in pure water. */
export function RecipeCompare({ recipes, firstId }: { readonly recipes: readonly Recipe[]; readonly firstId: number }) {
  const units = useUnits();
  const all: readonly Compared[] = [...recipes, ...RECIPE_LIBRARY];
  const names = [...new Set(all.map(({ name }) => name))];
  const [first, setFirst] = useState(recipes.find(({ id }) => id === firstId)!.name);
  const [other, setOther] = useState(names.find((name) => name !== first) ?? first);
  const [by, setBy] = useState<"written" | "ec">("ec");
  const [ec, setEc] = useState(1.5);
  const two = [first, other].map((name) => {
    const { targetsMgPerL } = all.find((one) => one.name === name)!;
    const factor = by === "ec" ? factorForEc(targetsMgPerL, ec) : 1;
    return { name, factor, targetsMgPerL, facts: recipeFacts(targetsMgPerL) };
  });
  const options = names.map((name) => ({ value: name, label: name }));
  const of = (at: number, aim: Aim) => {
    const { factor, targetsMgPerL } = two[at]!;
    const target = targetsMgPerL[aim];
    return target === undefined || factor === null ? null : target * factor;
  };
  const facts: readonly (readonly [what: string, of: (one: (typeof two)[number]) => string])[] = [
    ["EC as written", (one) => (one.facts.ecMsPerCm === null ? "–" : quantityText(one.facts.ecMsPerCm, "ec", units))],
    ["ammonium, of all N", (one) => (one.facts.ammoniumShare === null ? "–" : percentText(one.facts.ammoniumShare))],
    [
      "K for each N",
      (one) => (one.facts.potassiumToNitrogen === null ? "–" : formatNumber(one.facts.potassiumToNitrogen, 2)),
    ],
    [
      "charges apart",
      (one) => (one.facts.chargeDifference === null ? "–" : percentText(Math.abs(one.facts.chargeDifference))),
    ],
  ];
  return (
    <div>
      <p className="text-lg leading-10">
        <ChoiceBlank name="first" label="First recipe" value={first} options={options} onValue={setFirst} /> beside{" "}
        <ChoiceBlank name="other" label="Other recipe" value={other} options={options} onValue={setOther} />,{" "}
        <ChoiceBlank
          name="by"
          label="Compared"
          value={by}
          options={[
            { value: "ec", label: "both at EC" },
            { value: "written", label: "as written" },
          ]}
          onValue={setBy}
        />
        {by === "ec" && (
          <>
            {" "}
            <QuantityBlank
              name="ec"
              label="EC of both"
              dimension="ec"
              value={ec}
              onValue={(next) => typeof next === "number" && next >= 0.1 && next <= 8 && setEc(next)}
            />
          </>
        )}
      </p>
      <table className="mt-3 w-full text-right">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="text-left">mg/L</th>
            {two.map(({ name }, at) => (
              <th key={at}>{name}</th>
            ))}
            <th>times</th>
          </tr>
        </thead>
        <tbody>
          {AIMS.filter((aim) => of(0, aim) || of(1, aim)).map((aim) => {
            const [one, two_] = [of(0, aim), of(1, aim)];
            const times = one && two_ !== null ? two_ / one : null;
            const differs = times !== null && (times > 1.25 || times < 0.8);
            return (
              <tr key={aim} className="border-b border-rule">
                <th scope="row" className="py-1 text-left font-normal">
                  {aim}
                </th>
                {[one, two_].map((value, at) => (
                  <td key={at} className="figure !text-xl">
                    {value === null ? "–" : amount(value)}
                  </td>
                ))}
                <td className={differs ? "font-bold text-alarm" : "text-soft"}>
                  {times === null ? "–" : formatNumber(times, 2)}
                </td>
              </tr>
            );
          })}
          {facts.map(([what, said]) => (
            <tr key={what} className="border-b border-rule text-soft">
              <th scope="row" className="py-1 text-left font-normal">
                {what}
              </th>
              {two.map((one, at) => (
                <td key={at}>{said(one)}</td>
              ))}
              <td />
            </tr>
          ))}
        </tbody>
      </table>
      {two.some(({ factor }) => factor === null) && (
        <p className="mt-2 text-soft">
          One of them tells nitrogen only as a whole, or does not come to this EC: compare as written.
        </p>
      )}
    </div>
  );
}
