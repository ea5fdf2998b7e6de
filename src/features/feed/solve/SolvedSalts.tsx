import type { RecipeProposal } from "@/core/garden/recipeProposal";
import { quantityText } from "@/core/units/format";
import { useUnits } from "@/ui/units";
import { roundFeedL } from "../words";

interface SolvedSaltsProps {
  readonly proposal: RecipeProposal;
  /** Of the recipe as written: as it is solved, and as it is made now. */
  readonly strength: number;
  readonly nowStrength: number;
}

/** The salts for a round amount of ready feed, as they are now and as they were solved. */
export function SolvedSalts({ proposal: { salts, found, unique }, strength, nowStrength }: SolvedSaltsProps) {
  const units = useUnits();
  if (typeof found === "string") return null;
  const madeL = roundFeedL(units);
  const text = (gPer1000L: number) =>
    gPer1000L >= 1e-3 ? quantityText((gPer1000L * madeL) / 1000, "mass", units) : "–";
  return (
    <>
      <h2 className="text-2xl">Salts for {quantityText(madeL, "volume", units)} of feed</h2>
      <table className="mt-1 w-full">
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal" colSpan={2}>
              salt
            </th>
            <th className="font-normal">stock</th>
            <th className="text-right font-normal">now</th>
            <th className="text-right font-normal">solved</th>
          </tr>
        </thead>
        <tbody>
          {salts.map(({ id, name, stock, gPer1000L, onHandG }, at) => (
            <tr key={id} className="border-t border-rule">
              <td className="pr-2 text-right font-bold text-leaf">{at + 1}</td>
              <td className="py-1.5">
                {name}
                {!unique[at] && <span className="block text-sm text-soft">another amount would do as well</span>}
                {onHandG === 0 && <span className="block text-sm text-feed">none left on the shelf</span>}
              </td>
              <td className="sign px-2 text-xl">{stock}</td>
              <td className="text-right whitespace-nowrap text-soft">{text((gPer1000L ?? 0) * nowStrength)}</td>
              <td className="figure !text-xl pl-3 text-right whitespace-nowrap">
                {text(found.writtenGPer1000L[at]! * strength)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
