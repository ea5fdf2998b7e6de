import type { Metadata } from "next";
import { MembersSheet } from "@/features/people/MembersSheet";
import { members, openInvitations } from "@/server/people/queries";
import { read } from "@/server/session/read";
import { Station } from "@/ui/Station";
import { peopleTabs } from "./tabs";

export const metadata: Metadata = { title: "People" };

export default async function PeoplePage() {
  const { who, people, invitations } = await read(async (db, who) => ({
    who,
    people: await members(db, who.gardenId),
    invitations: who.role === "keeper" ? await openInvitations(db, who.gardenId) : [],
  }));
  return (
    <Station title="People" facts={`${people.length} at home in ${who.gardenName}`} tabs={peopleTabs("members")}>
      <MembersSheet members={people} invitations={invitations} meId={who.personId} />
    </Station>
  );
}
