import { seasonToRead } from "@/server/garden/season";
import { cachedAt } from "@/server/session/cachedAt";
import { route } from "@/server/session/route";

/** All that the plan is worked out from, for the browser to try out moves with. */
export const GET = route("look", async ({ db, who }) => {
  const { base, revision } = who.moved;
  const text = await cachedAt(`${who.gardenId} plan as text`, `${base} ${revision} ${who.today}`, async () =>
    JSON.stringify((await seasonToRead(db, who)).input),
  );
  return new Response(text, { headers: { "content-type": "application/json", "cache-control": "no-store" } });
});
