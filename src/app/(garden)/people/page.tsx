import type { Metadata } from "next";
import { PeopleSheet } from "@/features/people/PeopleSheet";
import { pool } from "@/server/db/pool";
import { gardenSettings, members } from "@/server/people/queries";
import { session } from "@/server/session/session";
import { Station } from "@/ui/Station";

export const metadata: Metadata = { title: "People" };

export default async function PeoplePage() {
  const who = await session();
  const [people, garden] = await Promise.all([members(pool(), who.gardenId), gardenSettings(pool(), who.gardenId)]);
  return (
    <Station title="People" facts={`${garden.name}${garden.place ? `, ${garden.place}` : ""}`}>
      <PeopleSheet members={people} garden={garden} meId={who.personId} />
    </Station>
  );
}
