import type { Metadata } from "next";
import { ShelfSheet } from "@/features/feed/ShelfSheet";
import { season } from "@/server/batches/season";
import { Station } from "@/ui/Station";
import { feedTabs } from "../tabs";

export const metadata: Metadata = { title: "Shelf" };

export default async function ShelfPage() {
  const { rows, saltUses } = await season();
  const uses = saltUses.map(({ salt, wantedG, firstShort }) => ({
    saltId: salt.id,
    wantedG,
    availableG: salt.onHandG,
    firstShort,
  }));
  return (
    <Station
      title="Feed"
      facts={`${rows.salts.length} salts known, ${rows.salts.filter((salt) => salt.onHandG > 0).length} on the shelf`}
      tabs={feedTabs("shelf", undefined)}
    >
      <ShelfSheet salts={rows.salts} uses={uses} />
    </Station>
  );
}
