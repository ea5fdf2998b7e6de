"use server";
import { between, without, type Changes, type TableChanges } from "@/core/garden/changes";
import { tablesWithLayout } from "@/core/garden/layoutTables";
import { rowsOf } from "@/core/garden/part";
import { layoutTextInSvg } from "@/core/place/layout/svg";
import type { LayoutDocument } from "@/core/place/layout/document";
import { maybeOne, NotFoundError, run, type Db } from "../../db/pool";
import { removeRow, saveRow } from "../../db/save";
import { parsedLayout } from "../../place/layoutFile";
import { importLayoutSchema } from "../../place/layoutSchema";
import { RefusedError } from "../../session/refusal";
import { command } from "../../session/command";
import type { Session } from "../../session/session";
import { settledIds } from "../change";
import { keptTables } from "../tables";
import { addSchema, adoptSchema, copySchema, removeWhatIfSchema, renameSchema, settleSchema } from "./schema";
import { adoptRows } from "./adopt";
import { storeRows, wantedWhatIf, whatIfChanges } from "./store";

const ANYWHERE = { inWhatIf: true } as const;

export const addWhatIf = command(
  "plan",
  addSchema,
  (db, row, who) => saveRow(db, "change_set", who.gardenId, null, { ...row }),
  ANYWHERE,
);

export const renameWhatIf = command(
  "plan",
  renameSchema,
  (db, { id, ...row }, who) => saveRow(db, "change_set", who.gardenId, id, row),
  ANYWHERE,
);

export const removeWhatIf = command(
  "plan",
  removeWhatIfSchema,
  (db, { id }, who) => removeRow(db, "change_set", who.gardenId, id),
  ANYWHERE,
);

/** A second what-if with the same changes. */
export const copyWhatIf = command(
  "plan",
  copySchema,
  async (db, { id, name }, who) => {
    const { purpose } = await wantedWhatIf(db, who.gardenId, id);
    const copy = await saveRow(db, "change_set", who.gardenId, null, { name, purpose });
    await run(
      db,
      `insert into change_set_row (garden_id, set_id, entity, row_id, op, patch)
       select garden_id, $3, entity, row_id, op, patch from change_set_row where garden_id = $1 and set_id = $2`,
      [who.gardenId, id, copy],
    );
    return copy;
  },
  ANYWHERE,
);

/**
 * Settles what both the what-if and somebody in the garden changed: as it is now, so that this part of the what-if goes; or
 * as the what-if has it, so that it stands against the garden as it is now.
 */
export const settleWhatIf = command(
  "plan",
  settleSchema,
  async (db, { id, entity, rowId, field, as }, who) => {
    await wantedWhatIf(db, who.gardenId, id, true);
    const stored = (await whatIfChanges(db, who.gardenId, id)).get(id) ?? {};
    const row = [{ entity, id: rowId }];
    if (as === "live") return storeRows(db, who.gardenId, id, row, without(stored, entity, rowId, field ?? undefined));
    const live = (await keptTables(db, who.gardenId))[entity]?.[rowId];
    if (!live) throw new NotFoundError(null);
    const own: TableChanges = stored[entity] ?? { added: {}, removed: {}, updated: {} };
    const settled: TableChanges = own.removed[rowId]
      ? { ...own, removed: { [rowId]: live } }
      : {
          ...own,
          updated: {
            [rowId]: Object.fromEntries(
              Object.entries(own.updated[rowId] ?? {}).map(([name, [from, to]]) => [
                name,
                [field === null || name === field ? (live[name] ?? null) : from, to] as const,
              ]),
            ),
          },
        };
    await storeRows(db, who.gardenId, id, row, { [entity]: settled });
  },
  ANYWHERE,
);

/**
 * Puts a what-if, or some of its rows with what they need, into the garden as one act that can be undone. The what-if stays,
 * with nothing left to change. Batches that have too few places then stay in the plan, above capacity.
 */
export const adoptWhatIf = command(
  "plan",
  adoptSchema,
  (db, { id, rows }, who) =>
    adoptRows(db, who, id, (stored) => rows?.map(({ entity, rowId }) => ({ entity, id: rowId })) ?? rowsOf(stored)),
  ANYWHERE,
);

/** Brings a layout file in as a what-if: nothing of the garden changes, and a file with a fault changes nothing at all. */
export const importLayout = command(
  "plan",
  importLayoutSchema,
  async (db, { name, text }, who) => {
    const tables = await keptTables(db, who.gardenId);
    const loops = Object.values(tables.loop ?? {}).map((loop) => String(loop.name));
    const read = parsedLayout(layoutTextInSvg(text) ?? text, loops);
    if (read.kind === "faults")
      throw new RefusedError({ room: "place", kind: "layout-faults", faults: read.faults }, "text");
    return whatIfOfLayout(db, who, name, read.layout);
  },
  ANYWHERE,
);

/** Turns a layout that was saved before there were what-ifs into one. */
export const openLayout = command(
  "plan",
  removeWhatIfSchema,
  async (db, { id }, who) => {
    const layout = await maybeOne<{ name: string; document: LayoutDocument }>(
      db,
      "select name, document from layout where garden_id = $1 and id = $2 for update",
      [who.gardenId, id],
    );
    if (!layout) throw new NotFoundError("layout");
    await removeRow(db, "layout", who.gardenId, id);
    return whatIfOfLayout(db, who, layout.name, layout.document);
  },
  ANYWHERE,
);

async function whatIfOfLayout(db: Db, who: Session, name: string, layout: LayoutDocument): Promise<number> {
  const tables = await keptTables(db, who.gardenId);
  const asked: Changes = between(tables, tablesWithLayout(tables, layout));
  const { changes } = await settledIds(db, asked);
  const id = await saveRow(db, "change_set", who.gardenId, null, { name, purpose: "" });
  await storeRows(db, who.gardenId, id, rowsOf(changes), changes);
  return id;
}
