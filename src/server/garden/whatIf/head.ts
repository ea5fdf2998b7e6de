import { cache } from "react";
import { rowsOf } from "@/core/garden/part";
import { readCached } from "../../session/read";
import { pageSession } from "../../session/session";
import { redirect } from "next/navigation";
import { whatIfOnGarden, whatIfs, type WhatIf } from "./store";

/** What every page says of what-ifs: which there are, which one it is of with the stands that it changes, and how much of
 * that is to be settled. */
export interface WhatIfHead {
  readonly all: readonly WhatIf[];
  readonly present: (WhatIf & { readonly stands: readonly number[] }) | null;
  readonly conflicts: number;
}

/** @returns the head of this request's page; one of a what-if that is gone is shown as the list of those that are left */
export const whatIfHead = cache(async (): Promise<WhatIfHead> => {
  const { whatIf } = await pageSession();
  const head = await readCached(`what-if head ${whatIf ?? ""}`, async (db, { gardenId }) => {
    const on = whatIf === null ? null : await whatIfOnGarden(db, gardenId, whatIf);
    const stands = rowsOf(on?.changes ?? {}).flatMap(({ entity, id }) => (entity === "stand" ? [id] : []));
    return { all: await whatIfs(db, gardenId), conflicts: on?.conflicts.length ?? 0, stands };
  });
  const one = head.all.find(({ id }) => id === whatIf);
  if (whatIf !== null && !one) redirect("/batches/what-if");
  return { ...head, present: one ? { ...one, stands: head.stands } : null };
});
