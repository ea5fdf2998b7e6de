import type { Metadata } from "next";
import Link from "next/link";
import { materialList } from "@/core/place/layout/materials";
import { CutLists } from "@/features/place/bench/CutLists";
import { Materials } from "@/features/place/bench/Materials";
import { standStarts } from "@/features/place/bench/standStarts";
import { Supports } from "@/features/place/bench/Supports";
import { season } from "@/server/batches/season";
import { cutLists, materials, offcuts, spareShare } from "@/server/place/benchQueries";
import { viewQuery } from "@/server/session/query";
import { readKept } from "@/server/session/read";
import { buttonClass } from "@/ui/Button";
import { Station } from "@/ui/Station";
import { placeTabs } from "../tabs";

export const metadata: Metadata = { title: "Bench" };

const PARTS = [
  ["cuts", "Cuts"],
  ["supports", "Supports"],
  ["materials", "Materials"],
] as const;

export default async function BenchPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { rows } = await season();
  const { lists, shelf, items, spare } = await readKept("bench", async (db, who) => ({
    lists: await cutLists(db, who.gardenId),
    shelf: await offcuts(db, who.gardenId),
    items: await materials(db, who.gardenId),
    spare: await spareShare(db, who.gardenId),
  }));
  const { part = "cuts", list, house } = viewQuery(await searchParams);
  const inHouse = rows.stands.filter(({ houseId }) => house === undefined || houseId === house);
  const price = (item: string) => items.find((one) => one.item === item)?.priceEach ?? 0;
  return (
    <Station title="Bench" facts="what to cut, set up and buy" tabs={placeTabs("bench")}>
      <nav aria-label="Parts of the bench" className="no-print mb-4 flex gap-2 border-b border-rule pb-3">
        {PARTS.map(([key, name]) => (
          <Link
            key={key}
            href={`/place/bench?part=${key}`}
            aria-current={key === part ? "true" : undefined}
            className={buttonClass(key === part ? "strong" : "plain")}
          >
            {name}
          </Link>
        ))}
      </nav>
      {part === "cuts" && (
        <CutLists
          lists={lists}
          chosen={lists.find(({ id }) => id === list) ?? lists[0] ?? null}
          shelf={shelf}
          starts={standStarts(rows.stands)}
        />
      )}
      {part === "supports" && (
        <Supports
          banks={rows.stands.flatMap(({ id, name, spec }) =>
            spec.kind === "channel-bank" ? [{ id, name, spec }] : [],
          )}
        />
      )}
      {part === "materials" && (
        <Materials
          lines={materialList(
            inHouse.map(({ spec }) => spec),
            spare,
            items,
          ).map((line) => ({ ...line, priceEach: price(line.item) }))}
          spareShare={spare}
          houses={rows.houses.map(({ id, name }) => ({ id, name }))}
          house={house ?? null}
        />
      )}
    </Station>
  );
}
