"use server";
import { keptProduct, labelFeedDoubts } from "@/core/feed/labelFeed";
import { ionsFromElements } from "@/core/feed/nutrients";
import { squash, type Changes, type Tables } from "@/core/garden/changes";
import type { Loop, Source } from "@/core/garden/garden";
import { addLabelFeed, ecOfShare } from "@/core/garden/setup/addLabelFeed";
import { RECIPE_ID } from "@/core/garden/setup/addRecipe";
import { NotFoundError } from "../db/pool";
import { planCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";
import { labelFeedSchema } from "./labelFeedSchema";

/** Keeps bought products by their labels: on the shelf, and as a feed; a loop may be fed with it from now on, by hand. */
export const keepLabelFeed = planCommand("plan", labelFeedSchema, (input, tables) => {
  const { name, share, labelEcMsPerCm, loopId, sure } = input;
  const loop = loopId === null ? null : (tables.loop?.[loopId] as unknown as Loop | undefined);
  if (loop === undefined) throw new NotFoundError(null);
  const products = input.products.map((product, at) => {
    const kept = keptProduct(product);
    if ("kind" in kept)
      throw new RefusedError(
        { room: "feed", kind: "product-wrong", product: product.name, problem: kept },
        `products.${at}`,
      );
    return { ...kept, name: product.name, form: product.form };
  });
  const { found, doubts } = labelFeedDoubts(products, labelEcMsPerCm);
  if (found.kind === "not-told")
    throw new RefusedError({ room: "feed", kind: "label-ec-not-told", why: found.why }, "labelEcMsPerCm");
  if (doubts.length > 0 && !sure) throw new RefusedError({ room: "feed", kind: "asks-label", doubts }, "share");
  const ecMsPerCm = ecOfShare(found.ions, waterOf(tables, loop), share);
  return {
    changes: squash(addLabelFeed(tables, { name, products, found, ecMsPerCm }), feedsLoop(loop)),
    value: (ids) => ids.get(RECIPE_ID)!,
  };
});

function waterOf(tables: Tables, loop: Loop | null) {
  const source = loop?.sourceId == null ? undefined : (tables.source?.[loop.sourceId] as unknown as Source);
  return source ? ionsFromElements(source.analysisMgPerL, source.alkalinityMgCaco3PerL) : {};
}

function feedsLoop(loop: Loop | null): Changes {
  if (!loop) return {};
  const change = {
    recipeId: [loop.recipeId, RECIPE_ID] as const,
    ...(loop.feeding !== "dry" && { feeding: [loop.feeding, "dry"] as const }),
  };
  return { loop: { added: {}, removed: {}, updated: { [loop.id]: change } } };
}
