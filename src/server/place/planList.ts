import { refuseStale, saveRow, StaleError } from "../db/save";
import { log } from "../session/log";
import { onBehalf } from "../session/onBehalf";
import { AskedWrongly } from "../session/route";
import type { Session } from "../session/session";
import { cutLists, offcuts, problemOf } from "./benchQueries";
import { BusyError, planCuts } from "./cutJob";

/** What the planning says, a line each: how far it is, that it is done, or why not. */
type Said = { readonly progress: object } | { readonly done: true } | { readonly problem: string };

/**
 * Plans a cut list as it stands in a version, and keeps the plan if the list still stands so when it is found. No transaction
 * is held meanwhile.
 *
 * @param stop ends it, with nothing kept; it is also what a reader who goes away does
 * @returns lines of JSON
 * @throws AskedWrongly when there is no such list
 */
export async function planList(asked: { readonly id: number; readonly version: number }, who: Session, stop: AbortController): Promise<ReadableStream<Uint8Array>> {
  const rows = await onBehalf(who, async (db) => ({ lists: await cutLists(db, who.gardenId), shelf: await offcuts(db, who.gardenId) }), { readOnly: true });
  const list = rows.lists.find(({ id }) => id === asked.id);
  if (!list) throw new AskedWrongly("This list is not there any more: somebody may have removed it.");
  const work = async (say: (line: Said) => void) => {
    const plan = await planCuts(problemOf(list, rows.shelf), stop.signal, (progress) => say({ progress }));
    if (plan.kind === "too-long") return say({ problem: `No bar gives ${plan.lengthsMm.join(", ")} mm.` });
    await onBehalf(who, async (db) => {
      await refuseStale(db, "cut_list", { garden_id: who.gardenId, id: list.id }, asked.version);
      await saveRow(db, "cut_list", who.gardenId, list.id, { plan });
    });
    say({ done: true });
  };
  return new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: Said) => controller.enqueue(new TextEncoder().encode(`${JSON.stringify(line)}\n`));
      try {
        await work(say);
      } catch (failure) {
        if (stop.signal.aborted) return;
        const told = failure instanceof BusyError || failure instanceof StaleError;
        if (!told) log.error({ error: failure }, "planning cuts failed");
        say({ problem: told ? failure.message : "The planning failed; the list is as it was." });
      }
      if (!stop.signal.aborted) controller.close();
    },
    cancel: () => stop.abort(),
  });
} // prettier-ignore
