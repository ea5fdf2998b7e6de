import type { Metadata } from "next";
import { WhatHaveYouGot } from "@/features/place/setup/WhatHaveYouGot";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { placeTabs } from "../tabs";

export const metadata: Metadata = { title: "What have you got?" };

export default async function SetupPage() {
  const { garden } = await season();
  return (
    <Station title="What have you got?" facts="nothing is made until you say so" tabs={placeTabs("setup")}>
      <WhatHaveYouGot latitudeDeg={garden.latitudeDeg} houseNames={garden.houses.map(({ name }) => name)} />
    </Station>
  );
}
