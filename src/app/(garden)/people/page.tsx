import type { Metadata } from "next";
import { MembersSheet } from "@/features/people/MembersSheet";
import { openLinks } from "@/server/people/links";
import { members } from "@/server/people/queries";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { peopleTabs } from "./tabs";
import { counted } from "@/core/units/format";

export const metadata: Metadata = { title: "People" };

export default async function PeoplePage() {
  const { who, people, links } = await read(async (db, who) => ({
    who,
    people: await members(db, who.gardenId),
    links: who.role === "keeper" ? await openLinks(db, who.gardenId) : [],
  }));
  return (
    <Station
      title="People"
      facts={`${counted(people.length, "member")} of ${who.gardenName}`}
      tabs={peopleTabs("members")}
    >
      <MembersSheet members={people} links={links} meId={who.personId} />
    </Station>
  );
}
