import { isEmpty, type Changes } from "@/core/garden/changes";
import { rowsOf, withNeeded, type RowName } from "@/core/garden/part";
import type { Db } from "../../db/pool";
import { RefusedError } from "../../session/refusal";
import type { Session } from "../../session/session";
import { changeGarden } from "../change";
import { wantedWhatIf, whatIfOnGarden } from "./store";

/**
 * Puts some rows of a what-if, with what they need, into the garden as one act that can be undone. The what-if stays, with
 * nothing of them left to change.
 *
 * @param choose rows of what it changes
 * @throws RefusedError where one of them is still to be settled, or nothing of them is left to change
 */
export async function adoptRows(
  db: Db,
  who: Session,
  id: number,
  choose: (stored: Changes) => readonly RowName[],
): Promise<void> {
  await wantedWhatIf(db, who.gardenId, id, true);
  const { stored, changes, conflicts } = await whatIfOnGarden(db, who.gardenId, id);
  const chosen = choose(stored);
  const inPart = new Set(rowsOf(withNeeded(stored, chosen)).map(({ entity, id: row }) => `${entity} ${row}`));
  if (conflicts.some((one) => inPart.has(`${one.entity} ${one.id}`)))
    throw new RefusedError({ room: "any", kind: "conflict-open" }, undefined, 409);
  const left = withNeeded(changes, chosen);
  if (isEmpty(left)) throw new RefusedError({ room: "any", kind: "nothing-to-adopt" }, undefined, 409);
  await changeGarden(db, who, left);
}
