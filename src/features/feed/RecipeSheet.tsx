"use client";
import { useMemo } from "react";
import { feedGuard } from "@/core/feed/feedGuard";
import type { LoopFeed } from "@/core/garden/fed";
import type { SolveAgain } from "@/core/garden/recipeProposal";
import type { Loop, SaltRow } from "@/core/garden/garden";
import type { Recipe } from "@/core/garden/garden";
import { Button } from "@/ui/Button";
import { Drawer } from "@/ui/Drawer";
import { Empty } from "@/ui/Empty";
import { Picker } from "@/ui/Picker";
import { LabelContent } from "./label/LabelContent";
import { GuardNote } from "./GuardNote";
import { NutrientBars } from "./NutrientBars";
import { RecipeSalts } from "./RecipeSalts";
import { SolveAgainNote } from "./solve/SolveAgainNote";
import { RecipeStrength } from "./RecipeStrength";
import { useOpened } from "@/features/frame/drafts";
import { Only, useMay } from "@/features/frame/who";
import { later } from "@/ui/later";

const RecipeLibrary = later(() => import("./RecipeLibrary").then((part) => part.RecipeLibrary));
const RecipeCompare = later(() => import("./RecipeCompare").then((part) => part.RecipeCompare));
const LabelFeedForm = later(() => import("./label/LabelFeedForm").then((part) => part.LabelFeedForm));
const RecipeForm = later(() => import("./RecipeForm").then((part) => part.RecipeForm));

export interface RecipeSheetProps {
  readonly loops: readonly Pick<Loop, "id" | "name" | "kind">[];
  readonly loopId: number | null;
  readonly feed: LoopFeed | null;
  readonly recipes: readonly Recipe[];
  readonly salts: readonly SaltRow[];
  readonly waterName: string;
  /** What speaks for solving the recipe again. */
  readonly again: SolveAgain | null;
}

/** What the loop is fed: targets against what the salts and the water come to, and the salts for 1000 litres. */
export function RecipeSheet({ loops, loopId, feed, recipes, salts, waterName, again }: RecipeSheetProps) {
  const mayPlan = useMay("plan");
  const guard = useMemo(() => feed && feedGuard(feed.sheet, feed.salts, feed.recipe.phHigh), [feed]);
  const [editing, setEditing] = useOpened<number | "new" | "library" | "label" | "compare" | { readonly copy: number }>(
    "feed",
  );
  return (
    <>
      <Picker href="/feed" query="loop" rows={loops} chosen={loopId}>
        <Only right="plan">
          {feed && <Button onClick={() => setEditing(feed.recipe.id)}>Change this recipe</Button>}
          <Button look="quiet" data-key="n" onClick={() => setEditing("new")}>
            New recipe
          </Button>
          <Button look="quiet" onClick={() => setEditing("library")}>
            From the library
          </Button>
          <Button look="quiet" onClick={() => setEditing("label")}>
            By the label
          </Button>
          {feed && (
            <Button look="quiet" onClick={() => setEditing({ copy: feed.recipe.id })}>
              Copy it
            </Button>
          )}
        </Only>
        {feed && (
          <Button look="quiet" onClick={() => setEditing("compare")}>
            Compare
          </Button>
        )}
      </Picker>
      {feed ? (
        <div className="grid gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1fr)_400px]">
          <section>
            <RecipeStrength feed={feed} waterName={waterName} />
            <SolveAgainNote loopId={loopId} again={again} />
            {feed.recipe.byLabel ? (
              <LabelContent feed={feed} waterName={waterName} />
            ) : (
              <NutrientBars
                result={feed.sheet.result}
                salts={feed.salts}
                waterName={waterName}
                strength={feed.sheet.strength ?? 1}
              />
            )}
            {guard && <GuardNote guard={guard} phHigh={feed.recipe.phHigh} />}
          </section>
          <RecipeSalts feed={feed} />
        </div>
      ) : (
        <Empty
          title={loopId === null ? "No loop yet" : "This loop has no recipe yet"}
          example={`${loopId === null ? "A loop is a tank and what it waters: add one under Water. " : ""}For instance leafy greens: N 266, P 62, K 430, Ca 180, Mg 24, S 36 mg/L, run at EC 1.5. Enter a recipe here, then choose it for the loop under Water.`}
        >
          <Only right="plan">
            <Button look="strong" onClick={() => setEditing("library")}>
              Take one from the library
            </Button>
            <Button onClick={() => setEditing("new")}>Enter a recipe</Button>
            <Button onClick={() => setEditing("label")}>I feed by the label of what I buy</Button>
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
      <Drawer open={editing !== null} onClose={() => setEditing(null)} title={titleOf(editing)}>
        {editing === "compare" && feed && <RecipeCompare recipes={recipes} firstId={feed.recipe.id} />}
        {editing === "library" && <RecipeLibrary there={recipes.map(({ name }) => name)} />}
        {editing === "label" && (
          <LabelFeedForm loop={loops.find(({ id }) => id === loopId) ?? null} onDone={() => setEditing(null)} />
        )}
        {(editing === "new" || typeof editing === "number" || (typeof editing === "object" && editing !== null)) && (
          <RecipeForm
            recipe={recipes.find(({ id }) => id === editing) ?? null}
            copied={typeof editing === "object" ? recipes.find(({ id }) => id === editing.copy) : undefined}
            salts={salts}
            onDone={() => setEditing(null)}
          />
        )}
      </Drawer>
    </>
  );
}

function titleOf(editing: number | string | object | null): string {
  if (editing === "library") return "8 recipes to take over";
  if (editing === "label") return "A feed by the label";
  if (editing === "compare") return "Two recipes side by side";
  return typeof editing === "number" ? "Change the recipe" : "New recipe";
}
