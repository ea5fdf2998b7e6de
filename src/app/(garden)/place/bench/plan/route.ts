import { refuseStale, saveRow } from "@/server/db/save";
import { cutLists, offcuts, problemOf } from "@/server/place/benchQueries";
import { cutDoneSchema } from "@/server/place/benchSchema";
import { BusyError, planCuts } from "@/server/place/cutJob";
import { log } from "@/server/session/log";
import { onBehalf } from "@/server/session/onBehalf";
import { AskedWrongly, longRoute } from "@/server/session/route";

/**
 * Plans a cut list: answers line by line with how far it is, and keeps the plan when it is found. It ends when whoever asked
 * goes away.
 */
export const POST = longRoute("plan", async ({ request, who }) => {
  const { value: asked, error } = cutDoneSchema.validate(await request.json().catch(() => null), { abortEarly: true });
  if (error || !asked) throw new AskedWrongly(error?.message ?? "Nothing is asked for.");
  const { list, shelf } = await onBehalf(who, async (db) => ({ list: (await cutLists(db, who.gardenId)).find(({ id }) => id === asked.id), shelf: await offcuts(db, who.gardenId) }), { readOnly: true }); // prettier-ignore
  if (!list) throw new AskedWrongly("This list is not there any more: somebody may have removed it.");
  const problem = problemOf(list, shelf);
  const stop = new AbortController();
  request.signal.addEventListener("abort", () => stop.abort());
  const lines = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: object) => controller.enqueue(new TextEncoder().encode(`${JSON.stringify(line)}\n`));
      try {
        const plan = await planCuts(problem, stop.signal, (progress) => say({ progress }));
        if (plan.kind === "too-long") say({ problem: `No bar gives ${plan.lengthsMm.join(", ")} mm.` });
        else {
          await onBehalf(who, async (db) => {
            // The list may have been changed while it was planned: the plan is for what it was.
            await refuseStale(db, "cut_list", { garden_id: who.gardenId, id: list.id }, list.version);
            await saveRow(db, "cut_list", who.gardenId, list.id, { plan });
          });
          say({ done: true });
        }
      } catch (failure) {
        if (stop.signal.aborted) return;
        if (!(failure instanceof BusyError)) log.error({ error: failure }, "planning cuts failed");
        say({ problem: failure instanceof Error ? failure.message : "The planning failed." });
      } finally {
        if (!stop.signal.aborted) controller.close();
      }
    },
    cancel: () => stop.abort(),
  });
  return new Response(lines, { headers: { "content-type": "application/x-ndjson; charset=utf-8", "cache-control": "no-store" } });
}); // prettier-ignore
