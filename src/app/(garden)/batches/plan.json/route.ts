import { seasonToRead } from "@/server/batches/season";
import { keptAt } from "@/server/session/kept";
import { route } from "@/server/session/route";

/** All that the plan is worked out from, for the browser to try out moves with. */
export const GET = route("look", async ({ db, who }) => {
  const { base, revision } = who.moved;
  const text = await keptAt(`${who.gardenId} plan as text`, `${base} ${revision} ${who.today}`, async () =>
    JSON.stringify((await seasonToRead(db, who)).input),
  );
  return new Response(text, { headers: { "content-type": "application/json", "cache-control": "no-store" } });
});
