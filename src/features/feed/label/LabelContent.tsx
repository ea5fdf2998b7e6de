import { NUTRIENTS, type Nutrient } from "@/core/feed/nutrients";
import { amountOf } from "@/core/feed/recipeWish";
import type { LoopFeed } from "@/core/garden/fed";
import { amount, BroughtBar } from "../BroughtBar";

/** What is in a feed by labels, at the strength that it is made to: each nutrient, and what brings it. */
export function LabelContent({ feed, waterName }: { readonly feed: LoopFeed; readonly waterName: string }) {
  const { sheet, salts } = feed;
  const rows = NUTRIENTS.flatMap((nutrient) => {
    const parts = [
      ...salts.map(({ name, percent }, at) => ({
        ...{ name, number: at + 1 },
        mgPerL: (sheet.gPer1000L[at]! * amountOf(nutrient, percent)) / 100,
      })),
    ];
    const all = sheet.result.mgPerL[nutrient] ?? 0;
    const brought = parts.reduce((sum, { mgPerL }) => sum + mgPerL, 0);
    return all > 0 ? [{ nutrient, all, parts, waterMgPerL: Math.max(0, all - brought) }] : [];
  });
  return (
    <section aria-label="What is in it">
      <h2 className="text-2xl">What is in it</h2>
      {sheet.ionsUntold && (
        <p className="border-l-[6px] border-feed bg-feed-pale px-3 py-1.5">
          The labels do not tell all of it; strength goes by the EC that the pack tells. What is printed, and what the
          water brings:
        </p>
      )}
      {rows.length === 0 && <p className="text-soft">Nothing is printed, and the water’s analysis is not known.</p>}
      <table className="w-full max-w-3xl">
        <tbody>
          {rows.map(({ nutrient, all, parts, waterMgPerL }) => (
            <tr key={nutrient} className="border-t border-rule">
              <th scope="row" className="sign w-28 py-1 text-left text-xl">
                {NAMES[nutrient] ?? nutrient}
              </th>
              <td className="figure w-28 !text-xl text-right whitespace-nowrap">
                {amount(all)} <small>mg/L</small>
              </td>
              <td className="pl-4 max-sm:hidden">
                <BroughtBar
                  aim={nutrient}
                  targetMgPerL={all}
                  isTarget={false}
                  parts={[{ name: waterName, number: null, mgPerL: waterMgPerL }, ...parts]}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const NAMES: Partial<Record<Nutrient, string>> = { "unstated-N": "N" };
