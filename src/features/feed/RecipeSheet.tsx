"use client";
import { quantityText, formatNumber } from "@/core/units/format";
import type { LoopFeed } from "@/server/feed/loopFeed";
import type { Recipe, SaltRow } from "@/server/feed/queries";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { Quantity, useUnits } from "@/ui/units";
import { Why } from "@/ui/Why";
import { NutrientBars } from "./NutrientBars";
import { useOpened } from "@/ui/drafts";
import { Only, useMay } from "@/ui/who";
import { later } from "@/ui/later";

const RecipeForm = later(() => import("./RecipeForm").then((part) => part.RecipeForm));

export interface RecipeSheetProps {
  readonly loops: readonly { readonly id: number; readonly name: string }[];
  readonly loopId: number | null;
  readonly feed: LoopFeed | null;
  readonly recipes: readonly Recipe[];
  readonly salts: readonly SaltRow[];
  readonly waterName: string;
}

/** What the loop is fed: targets against what the salts and the water come to, and the salts for 1000 litres. */
export function RecipeSheet({ loops, loopId, feed, recipes, salts, waterName }: RecipeSheetProps) {
  const units = useUnits();
  const mayPlan = useMay("plan");
  const [editing, setEditing] = useOpened<number | "new">("feed");
  return (
    <>
      <Picker href="/feed" query="loop" rows={loops} chosen={loopId}>
        <Only right="plan">
          {feed && <Button onClick={() => setEditing(feed.recipe.id)}>Change this recipe</Button>}
          <Button look="quiet" data-key="n" onClick={() => setEditing("new")}>
            New recipe
          </Button>
        </Only>
      </Picker>
      {feed ? (
        <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,1fr)_400px]">
          <section>
            <div className="mb-3 flex flex-wrap items-baseline gap-x-8 gap-y-1">
              <p className="sign text-5xl [&_small]:text-2xl [&_small]:text-soft">
                <Why
                  label="EC of the ready feed"
                  how="The strength that the recipe is brought to; its ratios stay. EC is worked out from all ions by ion pairing and the specific conductance method, and is good to about ± 5 %."
                  inputs={[
                    ["recipe as written", quantityText(feed.sheet.recipeEcMsPerCm, "ec", units)],
                    [waterName, quantityText(feed.sheet.waterEcMsPerCm, "ec", units)],
                    ["factor on the salts", feed.sheet.strength === null ? "–" : formatNumber(feed.sheet.strength, 3)],
                  ]}
                >
                  <Quantity value={feed.recipe.ecMsPerCm} dimension="ec" />
                </Why>
              </p>
              <p className="sign text-3xl">
                pH {feed.recipe.phLow}–{feed.recipe.phHigh}
              </p>
              <p className="text-soft">
                band {quantityText(feed.recipe.ecLow, "ec", units)} – {quantityText(feed.recipe.ecHigh, "ec", units)},
                made with {waterName.toLowerCase()}
              </p>
            </div>
            {feed.sheet.strength === null && (
              <p role="alert" className="mb-3 border-l-[6px] border-alarm bg-alarm-pale px-3 py-2 font-bold">
                {feed.salts.length === 0
                  ? "This recipe has no salts yet: choose some from the shelf."
                  : `${waterName} alone has EC ${quantityText(feed.sheet.waterEcMsPerCm, "ec", units)}: this feed cannot be made with it. Choose a weaker water for the loop.`}
              </p>
            )}
            <NutrientBars sheet={feed.sheet} />
          </section>
          <section>
            <h2 className="text-2xl">Salts for {quantityText(1000, "volume", units)} of feed</h2>
            <table className="mt-1 w-full">
              <thead className="text-left text-sm text-soft">
                <tr>
                  <th className="font-normal">salt</th>
                  <th className="font-normal">stock</th>
                  <th className="text-right font-normal">amount</th>
                </tr>
              </thead>
              <tbody>
                {feed.salts.map((salt, index) => (
                  <tr key={salt.id} className="border-t border-rule">
                    <td className="py-1.5">{salt.name}</td>
                    <td className="sign text-xl">{salt.stock}</td>
                    <td className="figure !text-xl text-right">
                      <Why
                        label={salt.name}
                        how="Amounts, none below zero, with which all nutrients together come nearest to the recipe, the water's own counted in; then scaled so that the feed has the wanted EC."
                        inputs={[
                          ["scaled by", feed.sheet.strength === null ? "–" : formatNumber(feed.sheet.strength, 3)],
                        ]}
                      >
                        <Quantity value={feed.sheet.gPer1000L[index]!} dimension="mass" />
                      </Why>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        </div>
      ) : (
        <Empty
          title={loopId === null ? "No loop yet" : "This loop has no recipe yet"}
          example="For instance leafy greens: N 266, P 62, K 430, Ca 180, Mg 24, S 36 mg/L, run at EC 1.5. Enter one here, then choose it for the loop under Water."
        >
          <Only right="plan">
            <Button look="strong" onClick={() => setEditing("new")}>
              Enter a recipe
            </Button>
          </Only>
        </Empty>
      )}
      {recipes.length > 0 && (
        <p className="no-print mt-6 text-soft">
          All recipes:{" "}
          {recipes.map((recipe) => (
            <button
              key={recipe.id}
              type="button"
              className="mr-3 min-h-8 underline disabled:no-underline"
              disabled={!mayPlan}
              onClick={() => setEditing(recipe.id)}
            >
              {recipe.name}
            </button>
          ))}
        </p>
      )}
      <Drawer
        open={editing !== null}
        onClose={() => setEditing(null)}
        title={editing === "new" ? "New recipe" : "Change the recipe"}
      >
        {editing !== null && (
          <RecipeForm
            recipe={recipes.find(({ id }) => id === editing) ?? null}
            salts={salts}
            onDone={() => setEditing(null)}
          />
        )}
      </Drawer>
    </>
  );
}
