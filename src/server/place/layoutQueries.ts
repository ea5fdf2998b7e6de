import type { LayoutDocument } from "@/core/place/layout/document";
import { many, maybeOne, type Db } from "../db/pool";

/** A layout put by. */
export interface LayoutRow {
  readonly id: number;
  readonly version: number;
  readonly name: string;
  readonly document: LayoutDocument;
}

export function layouts(db: Db, gardenId: number): Promise<LayoutRow[]> {
  return many<LayoutRow>(db, `select id, version, name, document from layout where garden_id = $1 order by id`, [
    gardenId,
  ]);
}

/** @param lock keeps the row from others until the transaction ends: a document is read, changed and written as a whole */
export function layoutById(db: Db, gardenId: number, id: number, lock = false): Promise<LayoutRow | null> {
  return maybeOne<LayoutRow & Record<string, unknown>>(
    db,
    `select id, version, name, document from layout where garden_id = $1 and id = $2 ${lock ? "for update" : ""}`,
    [gardenId, id],
  );
}
