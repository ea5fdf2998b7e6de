"use server";
import type { StrengthSchool } from "@/core/feed/strengthSchool";
import { keptProduct, labelFeedDoubts } from "@/core/feed/labelFeed";
import { ionsFromElements } from "@/core/feed/nutrients";
import { isSame, squash, type Changes, type Json, type Row, type Tables } from "@/core/garden/changes";
import type { Loop, Source } from "@/core/garden/garden";
import { addLabelFeed, ecOfShare } from "@/core/garden/setup/addLabelFeed";
import { RECIPE_ID } from "@/core/garden/setup/addRecipe";
import { NotFoundError } from "../db/pool";
import { planCommand } from "../garden/planCommand";
import { RefusedError } from "../session/refusal";
import { labelFeedSchema } from "./labelFeedSchema";

/** Keeps bought products by their labels: on the shelf, and as a feed; a loop may be fed with it from now on, by hand. */
export const keepLabelFeed = planCommand("plan", labelFeedSchema, (input, tables) => {
  const { name, share, labelEcMsPerCm, loopId, ramp, changeWeeks, sure } = input;
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
  const water = waterOf(tables, loop);
  const ecMsPerCm = ecOfShare(found.ions, water, share);
  const strength: StrengthSchool = ramp
    ? {
        ...{ kind: "age", ecAtStart: ecOfShare(found.ions, water, ramp.startShare), ecAtMaturity: ecMsPerCm },
        maturityDays: ramp.maturityDays,
      }
    : { kind: "constant" };
  return {
    changes: squash(addLabelFeed(tables, { name, products, found, ecMsPerCm }), feedsLoop(loop, strength, changeWeeks)),
    value: (ids) => ids.get(RECIPE_ID)!,
  };
});

function waterOf(tables: Tables, loop: Loop | null) {
  const source = loop?.sourceId == null ? undefined : (tables.source?.[loop.sourceId] as unknown as Source);
  return source ? ionsFromElements(source.analysisMgPerL, source.alkalinityMgCaco3PerL) : {};
}

function feedsLoop(loop: Loop | null, strength: StrengthSchool, changeWeeks: number | null): Changes {
  if (!loop) return {};
  const wanted: Row = {
    ...{ recipeId: RECIPE_ID, feeding: "dry", strength: strength as unknown as Json },
    // What runs to waste is not changed.
    ...(changeWeeks !== null && loop.kind === "recirculating" && { changeRule: { kind: "weeks", weeks: changeWeeks } }),
  };
  const was = loop as unknown as Row;
  const updated = Object.entries(wanted).filter(([field, to]) => !isSame(was[field] ?? null, to));
  const fields = Object.fromEntries(updated.map(([field, to]) => [field, [was[field] ?? null, to] as const]));
  return { loop: { added: {}, removed: {}, updated: { [loop.id]: fields } } };
}
