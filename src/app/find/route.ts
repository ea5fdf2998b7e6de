import { seasonToRead } from "@/server/garden/season";
import { named } from "@/features/frame/named";
import { members } from "@/server/people/queries";
import { roundOf } from "@/server/round/today";
import { route } from "@/server/session/route";

/** Everything in the garden that has a name, for the palette. */
export const GET = route("look", async ({ db, who }) => {
  const season = await seasonToRead(db, who);
  const { items } = await roundOf(db, season);
  const found = named(season, items, await members(db, who.gardenId), who.units);
  return Response.json(found, { headers: { "cache-control": "no-store" } });
});
