"use client";
import { useMemo } from "react";
import { stockSplit } from "@/core/feed/stockSplit";
import type { LoopFeed } from "@/core/garden/fed";
import type { Loop } from "@/core/garden/garden";
import { useCommand } from "@/features/frame/useCommand";
import { Only } from "@/features/frame/who";
import { takeAmounts } from "@/server/feed/takeAmounts";
import { Button } from "@/ui/Button";

/** Another way to put the salts into the stocks, where more of them dissolves; taken over or left. */
export function StockSplitNote({ loop, feed }: { readonly loop: Loop; readonly feed: LoopFeed }) {
  const { recipe, salts, sheet } = feed;
  const { run, busy } = useCommand(takeAmounts, { done: "Stocks changed" });
  const split = useMemo(() => {
    if (loop.stocks < 2 || sheet.strength === null || recipe.byLabel) return null;
    const weighed = salts.map((salt, at) => ({ ...salt, gPer1000L: sheet.gPer1000L[at]! }));
    return stockSplit(weighed, loop.stocks === 3 ? 3 : 2, sheet.factor, loop.coldestC);
  }, [loop, recipe, salts, sheet]);
  if (!split) return null;
  const moved = salts.flatMap(({ name, stock }, at) => {
    const place = split.places[at]!;
    return place === stock ? [] : [place === "A+B" ? `${name} half in A, half in B` : `${name} in ${place}`];
  });
  const take = () =>
    run({
      recipeId: recipe.id,
      salts: salts.map(({ id, gPer1000L }, at) => ({ saltId: id, stock: split.places[at]!, gPer1000L })),
    });
  return (
    <div className="mb-4 max-w-3xl border-l-[6px] border-leaf bg-leaf-pale px-3 py-2">
      <p>
        Put otherwise, these stocks dissolve up to <b>1:{split.highestRatioR}</b>
        {split.nowRatioR > 0 ? `, and not 1:${split.nowRatioR}` : ""}: {moved.join(", ")}. It holds from the next batch
        that is mixed; what is in the tanks is used up first.
      </p>
      <Only right="plan">
        <Button className="no-print mt-2" disabled={busy} onClick={() => void take()}>
          Put them so
        </Button>
      </Only>
    </div>
  );
}
