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

export function layoutById(db: Db, gardenId: number, id: number): Promise<LayoutRow | null> {
  return maybeOne<LayoutRow & Record<string, unknown>>(
    db,
    `select id, version, name, document from layout where garden_id = $1 and id = $2`,
    [gardenId, id],
  );
}
