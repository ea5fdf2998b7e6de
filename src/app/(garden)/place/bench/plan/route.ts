import { cutListVersionSchema } from "@/server/place/benchSchema";
import { planList } from "@/server/place/planList";
import { AskedWrongly, longRoute } from "@/server/session/route";

/** Plans a cut list: answers line by line with how far it is, and ends when whoever asked goes away. */
export const POST = longRoute("plan", async ({ request, who }) => {
  const { value: asked, error } = cutListVersionSchema.validate(await request.json().catch(() => null));
  if (error || !asked) throw new AskedWrongly(error?.message ?? "Nothing is asked for.");
  const stop = new AbortController();
  request.signal.addEventListener("abort", () => stop.abort());
  return new Response(await planList(asked, who, stop), {
    headers: { "content-type": "application/x-ndjson; charset=utf-8", "cache-control": "no-store" },
  });
});
