import { channelBankOf } from "@/core/place/kinds";
import type { Metadata } from "next";
import { PageLink } from "@/ui/PageLink";
import { materialList } from "@/core/place/layout/materials";
import { CutLists } from "@/features/place/bench/CutLists";
import { Materials } from "@/features/place/bench/Materials";
import { standStarts } from "@/features/place/bench/standStarts";
import { Supports } from "@/features/place/bench/Supports";
import { season } from "@/server/garden/season";
import { cutLists, materials, offcuts, spareShare } from "@/server/place/benchQueries";
import { viewQuery } from "@/server/session/query";
import { newestJobs } from "@/server/jobs/job";
import { read, readCached } from "@/server/session/read";
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
  const { garden: rows } = await season();
  const { lists, shelf, items, spare } = await readCached("bench", async (db, who) => ({
    lists: await cutLists(db, who.gardenId),
    shelf: await offcuts(db, who.gardenId),
    items: await materials(db, who.gardenId),
    spare: await spareShare(db, who.gardenId),
  }));
  // How far heavy work is changes without the garden.
  const jobs = await read((db, who) => newestJobs(db, who.gardenId, "cut-list", "id"));
  const { part = "cuts", list, house } = viewQuery(await searchParams);
  const chosen = lists.find(({ id }) => id === list) ?? lists[0] ?? null;
  const inHouse = rows.stands.filter(({ houseId }) => house === undefined || houseId === house);
  const price = (id: string) => items.find((one) => one.id === id)?.priceEach ?? 0;
  return (
    <Station title="Bench" facts="what to cut, set up and buy" tabs={placeTabs("bench")}>
      <nav aria-label="Parts of the bench" className="no-print mb-4 flex gap-2 border-b border-rule pb-3">
        {PARTS.map(([key, name]) => (
          <PageLink
            key={key}
            href={`/place/bench?part=${key}`}
            aria-current={key === part ? "true" : undefined}
            className={buttonClass(key === part ? "strong" : "plain")}
          >
            {name}
          </PageLink>
        ))}
      </nav>
      {part === "cuts" && (
        <CutLists
          lists={lists}
          chosen={chosen}
          job={(chosen && jobs.get(chosen.id)) ?? null}
          shelf={shelf}
          starts={standStarts(rows.stands)}
        />
      )}
      {part === "supports" && (
        <Supports
          banks={rows.stands.flatMap(({ id, name, spec }) => {
            const bank = channelBankOf(spec);
            return bank ? [{ id, name, spec: bank }] : [];
          })}
        />
      )}
      {part === "materials" && (
        <Materials
          lines={materialList(
            inHouse.map(({ spec }) => spec),
            spare,
            items,
          ).map((line) => ({ ...line, priceEach: price(line.id) }))}
          spareShare={spare}
          houses={rows.houses.map(({ id, name }) => ({ id, name }))}
          house={house ?? null}
        />
      )}
    </Station>
  );
}
