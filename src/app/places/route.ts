import { placeOfZone, placesLike } from "@/server/people/places";

const MOST_CHARACTERS = 80;

/** Places by the beginning of their names, or by a time zone: open to who has no garden yet. */
export function GET(request: Request): Response {
  const { searchParams } = new URL(request.url);
  const [text, zone] = [searchParams.get("q") ?? "", searchParams.get("zone") ?? ""];
  const found =
    zone === ""
      ? placesLike(text.slice(0, MOST_CHARACTERS))
      : [placeOfZone(zone.slice(0, MOST_CHARACTERS))].filter(Boolean);
  return Response.json(found, { headers: { "cache-control": "public, max-age=3600" } });
}
