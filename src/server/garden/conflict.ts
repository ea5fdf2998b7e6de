import type { Changes, Conflict } from "@/core/garden/changes";
import { RULES } from "@/core/garden/entities";
import { CONSTRAINTS, USERS } from "../db/constraints";
import { NotFoundError, type Db } from "../db/pool";
import { lastChange, StaleError } from "../db/save";
import { RefusedError } from "../session/refusal";

/** Why changes do not go onto the garden as it is, as what is thrown: the first conflict decides. */
export async function errorFor(db: Db, gardenId: number, asked: Changes, [first]: readonly Conflict[]): Promise<Error> {
  const { entity, id, kind, field, to } = first!;
  switch (kind) {
    case "gone":
      return new NotFoundError(null);
    case "changed":
    case "removed-but-changed":
      return new StaleError(await lastChange(db, gardenId, entity, { id }));
    case "name-taken":
      return new RefusedError(nameTaken(entity), "name");
    case "refers-to-gone": {
      const target = RULES.references[entity]![field!]!;
      const goesNow = asked[target]?.removed[Number(to)] !== undefined;
      const by = USERS.find((table) => table === entity) ?? null;
      return new RefusedError({
        room: "any",
        ...(goesNow ? { kind: "still-used", by } : { kind: "refers-elsewhere" }),
      });
    }
  }
}

function nameTaken(entity: string) {
  const name = Object.keys(CONSTRAINTS).find((key) => key.startsWith(`${entity}_`) && key.endsWith("_name_key"));
  return name === undefined
    ? ({ room: "any", kind: "there-already" } as const)
    : ({ room: "any", kind: "constraint", name: name as keyof typeof CONSTRAINTS } as const);
}
