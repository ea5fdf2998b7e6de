import type { Metadata } from "next";
import { MeterList } from "@/features/feed/MeterList";
import { ShelfSheet } from "@/features/feed/ShelfSheet";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";
import { counted } from "@/core/units/format";

export const metadata: Metadata = { title: "Shelf" };

export default async function ShelfPage() {
  const { garden: rows, saltUses, who } = await season();
  const uses = saltUses.map(({ salt, wantedG, firstShort }) => ({
    saltId: salt.id,
    wantedG,
    availableG: salt.onHandG,
    firstShort,
  }));
  return (
    <Station
      title="Feed"
      facts={`${counted(rows.salts.length, "salt")} known, ${rows.salts.filter((salt) => salt.onHandG > 0).length} on the shelf`}
      tabs={feedTabs("shelf", undefined)}
    >
      <ShelfSheet salts={rows.salts} uses={uses} today={who.today} />
      <MeterList meters={rows.meters} />
    </Station>
  );
}
