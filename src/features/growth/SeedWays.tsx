"use client";
import { useState } from "react";
import type { Variety } from "@/core/garden/garden";
import { seedWay, type SeedWay } from "@/core/growth/severalOrOne";
import { formatNumber, quantityText } from "@/core/units/format";
import { Field } from "@/ui/Field";
import { QuantityInput, type QuantityValue } from "@/ui/QuantityInput";
import { useUnits } from "@/ui/units";

interface SeedWaysProps {
  readonly variety: Variety;
  readonly target: number;
  readonly confidence: number;
}

/** Several raw seeds thinned to one, beside one pelleted seed: what each costs in seed, empty cells and pulled seedlings. */
export function SeedWays({ variety, target, confidence }: SeedWaysProps) {
  const units = useUnits();
  const [several, setSeveral] = useState<QuantityValue>(Math.max(2, variety.seedsPerCell));
  const [raw, setRaw] = useState<QuantityValue>(variety.germination);
  const [rawPrice, setRawPrice] = useState<QuantityValue>(
    variety.seedPricePerG === null ? null : variety.seedPricePerG / variety.seedsPerG,
  );
  const [pelleted, setPelleted] = useState<QuantityValue>(Math.min(0.99, Math.max(variety.germination, 0.95)));
  const [pelletPrice, setPelletPrice] = useState<QuantityValue>(null);
  const wish = {
    targetPlants: target,
    confidence,
    laterSurvival: variety.stages.slice(1).map(({ survival }) => survival),
  };
  const way = (germination: QuantityValue, seedsPerCell: QuantityValue, price: QuantityValue): SeedWay | null =>
    isShare(germination) && isCount(seedsPerCell)
      ? seedWay(wish, { germination, seedsPerCell, pricePerSeed: typeof price === "number" && price >= 0 ? price : 0 })
      : null;
  const ways = [
    { name: "several, thinned to one", found: way(raw, several, rawPrice), priced: typeof rawPrice === "number" },
    { name: "one pelleted seed", found: way(pelleted, 1, pelletPrice), priced: typeof pelletPrice === "number" },
  ];
  return (
    <details className="border-t-2 border-ink pt-2">
      <summary className="sign min-h-11 cursor-pointer text-2xl">Several seeds and thin, or one pelleted?</summary>
      <div className="mt-2 grid max-w-2xl grid-cols-2 gap-3 md:grid-cols-5">
        <Figure label="Seeds a cell" dimension="count" value={several} onValue={setSeveral} />
        <Figure label="Germination, raw" dimension="share" value={raw} onValue={setRaw} />
        <Figure label="Price of a raw seed" dimension="money" value={rawPrice} onValue={setRawPrice} />
        <Figure label="Germination, pelleted" dimension="share" value={pelleted} onValue={setPelleted} />
        <Figure label="Price of a pelleted one" dimension="money" value={pelletPrice} onValue={setPelletPrice} />
      </div>
      <table className="mt-3 w-full max-w-2xl">
        <thead className="text-right text-sm text-soft">
          <tr>
            <th className="text-left font-normal">way</th>
            <th className="font-normal">cells</th>
            <th className="font-normal">seeds</th>
            <th className="font-normal">seed costs</th>
            <th className="font-normal">cells empty</th>
            <th className="font-normal">pulled</th>
          </tr>
        </thead>
        <tbody>
          {ways.map(({ name, found, priced }) => (
            <tr key={name} className="border-t border-rule text-right">
              <th scope="row" className="py-1.5 text-left font-bold">
                {name}
              </th>
              {found ? (
                <>
                  <td className="figure !text-xl">{found.cells}</td>
                  <td className="figure !text-xl">{formatNumber(found.seeds)}</td>
                  <td className="figure !text-xl">
                    {priced ? quantityText(found.seedCost, "money", units) : "price?"}
                  </td>
                  <td className="figure !text-xl">{formatNumber(found.emptyCells, 1)}</td>
                  <td className="figure !text-xl">{formatNumber(found.seedlingsPulled, 0)}</td>
                </>
              ) : (
                <td colSpan={5} className="text-left text-soft">
                  seeds a cell from 1 to 20, germination over 0 and up to 100 %
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-soft">
        Empty cells and pulled seedlings are what to expect on average. Thinning takes time and disturbs roots; a pellet
        wants even moisture until it has split.
      </p>
    </details>
  );
}

const isShare = (value: QuantityValue): value is number => typeof value === "number" && value > 0 && value <= 1;
const isCount = (value: QuantityValue): value is number =>
  typeof value === "number" && Number.isInteger(value) && value >= 1 && value <= 20;

function Figure({
  label,
  ...input
}: { readonly label: string } & Pick<React.ComponentProps<typeof QuantityInput>, "dimension" | "value" | "onValue">) {
  return <Field label={label}>{(aria) => <QuantityInput {...aria} {...input} />}</Field>;
}
