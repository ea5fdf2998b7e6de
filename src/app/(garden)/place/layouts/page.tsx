import type { Metadata } from "next";
import { layoutFigures } from "@/core/place/layout/compare";
import { LayoutSheet } from "@/features/place/layouts/LayoutSheet";
import { season } from "@/server/batches/season";
import { adoptionOf } from "@/server/place/adoption";
import { materials } from "@/server/place/benchQueries";
import { layouts } from "@/server/place/layoutQueries";
import { layoutHouseViews, layoutRows, liveLayout } from "@/server/place/layoutViews";
import { viewQuery } from "@/server/session/query";
import { readKept } from "@/server/session/read";
import { rainNormals } from "@/server/water/queries";
import { Station } from "@/ui/Station";
import { placeTabs } from "../tabs";

export const metadata: Metadata = { title: "What if" };

export default async function LayoutsPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { copies, shelf, rain } = await readKept("layouts", async (db, who) => ({
    copies: await layouts(db, who.gardenId),
    shelf: await materials(db, who.gardenId),
    rain: await rainNormals(db, who.gardenId),
  }));
  const { layout: asked } = viewQuery(await searchParams);
  const chosen = copies.find(({ id }) => id === asked) ?? copies[0] ?? null;
  const rows = chosen && layoutRows(chosen.document, chosen.version, worked.rows.loops);
  return (
    <Station
      title="What if"
      facts={
        copies.length === 0
          ? "no layout put by yet"
          : `${copies.length} ${copies.length === 1 ? "layout" : "layouts"} beside the garden as it stands`
      }
      tabs={placeTabs("layouts")}
    >
      <LayoutSheet
        now={layoutFigures(liveLayout(worked.rows, worked.who.gardenName), shelf)}
        copies={copies.map(({ id, version, name, document }) => ({
          id,
          version,
          name,
          figures: layoutFigures(document, shelf),
        }))}
        chosen={
          chosen &&
          rows && {
            id: chosen.id,
            version: chosen.version,
            name: chosen.name,
            houses: layoutHouseViews(rows, worked),
            pools: rows.pools,
            adoption: adoptionOf(worked, chosen.document, rain),
          }
        }
        loops={worked.rows.loops.map(({ id, name }) => ({ id, name }))}
      />
    </Station>
  );
}
