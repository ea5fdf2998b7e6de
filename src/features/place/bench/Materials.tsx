"use client";
import type { MaterialLine } from "@/core/place/layout/materials";
import { fromBase, preferredUnit, type Dimension } from "@/core/units/dimensions";
import { formatNumber, quantityText } from "@/core/units/format";
import { materialName } from "../words";
import { saveMaterial, saveSpare } from "@/server/place/benchActions";
import { CommitField } from "@/ui/CommitField";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { PrintButton } from "@/ui/PrintButton";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { useMay } from "@/features/frame/who";
import { Why } from "@/ui/Why";

export interface MaterialsProps {
  readonly lines: readonly (MaterialLine & { readonly priceEach: number })[];
  readonly spareShare: number;
  readonly houses: readonly { readonly id: number; readonly name: string }[];
  readonly house: number | null;
}

/** What the stands are built from, with a spare, what is on hand and what to buy. */
export function Materials({ lines, spareShare, houses, house }: MaterialsProps) {
  const units = useUnits();
  const mayPlan = useMay("plan");
  const material = useCommand(saveMaterial, { done: "Shelf saved" });
  const spare = useCommand(saveSpare, { done: "Spare saved" });
  const dimensionOf = (unit: MaterialLine["unit"]): Dimension =>
    unit === "m" ? "length" : unit === "L" ? "volume" : unit === "m²" ? "area" : "ratio";
  /** Prices are kept for the inside unit and shown for the garden's own. */
  const priceFactor = (unit: MaterialLine["unit"]) => 1 / fromBase(1, preferredUnit(dimensionOf(unit), units));
  const name = (line: MaterialLine) => materialName(line, units);
  const amount = (quantity: number, unit: MaterialLine["unit"]) =>
    unit === "m"
      ? quantityText(quantity, "length", units)
      : unit === "L"
        ? quantityText(quantity, "volume", units)
        : unit === "m²"
          ? quantityText(quantity, "area", units)
          : formatNumber(quantity);
  const commit = async (line: MaterialsProps["lines"][number], change: { onHand?: number; priceEach?: number }) => {
    const result = await material.run({ id: line.id, onHand: line.onHand, priceEach: line.priceEach, ...change });
    return result.ok ? null : (Object.values(result.fields)[0] ?? result.message);
  };
  const cost = lines.reduce((sum, line) => sum + line.cost, 0);
  return (
    <section aria-label="Materials">
      <Picker
        href="/place/bench?part=materials"
        query="house"
        rows={[{ id: 0, name: "Whole garden" }, ...houses]}
        chosen={house ?? 0}
      />
      {lines.length === 0 ? (
        <Empty
          title="Nothing to build"
          example="A bank of 12 channels of 6 m needs 72 m of channel, 24 end caps, 12 elbows, 288 net cups and 72 supports; with a spare of 5 % and 100 cups on hand, 203 are to buy."
        />
      ) : (
        <>
          <div className="no-print mb-3 w-40">
            {mayPlan && (
              <CommitField
                label="Spare"
                dimension="share"
                value={spareShare}
                onCommit={async (value) => {
                  const result = await spare.run({ spareShare: value });
                  return result.ok ? null : (Object.values(result.fields)[0] ?? result.message);
                }}
              />
            )}
          </div>
          <div className="overflow-x-auto">
            <table className="w-full min-w-160 text-[0.95rem] print:text-xs">
              <thead className="text-left text-sm text-soft">
                <tr>
                  <th className="font-normal">Item</th>
                  <th className="text-right font-normal">Needed</th>
                  <th className="text-right font-normal">with {quantityText(spareShare, "share", units)} spare</th>
                  <th className="text-right font-normal">On hand</th>
                  <th className="text-right font-normal">To buy</th>
                  <th className="text-right font-normal">Price of one</th>
                  <th className="text-right font-normal">Cost</th>
                </tr>
              </thead>
              <tbody>
                {lines.map((line) => (
                  <tr key={line.id} className="border-t border-rule">
                    <th scope="row" className="py-0.5 text-left font-normal">
                      {name(line)}
                      {line.unit === "pieces" ? (
                        ""
                      ) : (
                        <small className="text-soft">
                          {" "}
                          by the {preferredUnit(dimensionOf(line.unit), units).symbol}
                        </small>
                      )}
                    </th>
                    <td className="text-right">{amount(line.quantity, line.unit)}</td>
                    <td className="text-right">{amount(line.withSpare, line.unit)}</td>
                    <td className="text-right">
                      {mayPlan ? (
                        <CommitField
                          bare
                          label={`${name(line)}, on hand`}
                          dimension={dimensionOf(line.unit)}
                          value={line.onHand}
                          onCommit={(onHand) => commit(line, { onHand })}
                        />
                      ) : (
                        amount(line.onHand, line.unit)
                      )}
                    </td>
                    <td className="figure text-right">
                      <Why
                        label={`To buy: ${name(line)}`}
                        how="Needed, with the spare and rounded up, less what is on hand."
                        inputs={[
                          ["needed", amount(line.quantity, line.unit)],
                          ["with the spare", amount(line.withSpare, line.unit)],
                          ["on hand", amount(line.onHand, line.unit)],
                        ]}
                      >
                        {amount(line.toBuy, line.unit)}
                      </Why>
                    </td>
                    <td className="text-right">
                      {mayPlan ? (
                        <CommitField
                          bare
                          label={`${name(line)}, price of one`}
                          dimension="money"
                          value={Number((line.priceEach * priceFactor(line.unit)).toPrecision(8))}
                          onCommit={(price) => commit(line, { priceEach: price / priceFactor(line.unit) })}
                        />
                      ) : (
                        formatNumber(line.priceEach * priceFactor(line.unit), 2)
                      )}
                    </td>
                    <td className="text-right">{line.cost > 0 ? quantityText(line.cost, "money", units) : "–"}</td>
                  </tr>
                ))}
              </tbody>
              <tfoot>
                <tr className="border-t-2 border-ink">
                  <th scope="row" colSpan={6} className="py-1 text-left">
                    Total to buy
                  </th>
                  <td className="figure text-right">{quantityText(cost, "money", units)}</td>
                </tr>
              </tfoot>
            </table>
          </div>
          <p className="mt-2 text-sm text-soft">Prices are for a piece, or for what the item is sold by.</p>
          <PrintButton label="Print" />
        </>
      )}
    </section>
  );
}
