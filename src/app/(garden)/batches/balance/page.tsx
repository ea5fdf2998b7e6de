import type { Metadata } from "next";
import { BalanceSheet } from "@/features/batches/BalanceSheet";
import { loopNeedLpd, season } from "@/server/batches/season";
import { Station } from "@/ui/Station";
import { batchTabs } from "../tabs";

export const metadata: Metadata = { title: "Balance" };

const WEEK = 7;

export default async function BalancePage() {
  const worked = await season();
  const { plan, rows, input, supply } = worked;
  const offset = plan.today - plan.from;
  const loops = [
    ...rows.loops.map((loop) => ({ key: loop.id as number | "hand", name: `${loop.name} loop` })),
    { key: "hand" as const, name: "by hand" },
  ];
  const weeks = Array.from(
    { length: Math.floor((plan.to - plan.today) / WEEK) },
    (_, week) => plan.today + week * WEEK,
  );
  const mean = (series: Float64Array | undefined, day: number) =>
    series ? series.subarray(day - plan.from, day - plan.from + WEEK).reduce((sum, value) => sum + value, 0) / WEEK : 0;
  const missed = plan.deliveries.filter(
    (delivery) => delivery.day >= plan.today && delivery.wanted - delivery.given > 1e-6,
  ).length;
  const ahead = plan.deliveries.filter((delivery) => delivery.day >= plan.today).length;
  return (
    <Station
      title="Balance"
      facts={`${ahead - missed} of ${ahead} deliveries ahead are met by the plan`}
      tabs={batchTabs("balance")}
    >
      <BalanceSheet
        shortages={worked.shortages}
        weeks={weeks}
        needs={loops
          .map(({ key, name }) => ({
            name,
            todayLpd: loopNeedLpd(plan, key),
            litres: weeks.map((day) => mean(plan.needLByLoop.get(key), day)),
          }))
          .filter((loop) => loop.litres.some((litres) => litres > 0))}
        pools={input.pools.map((pool) => {
          const used = plan.pools.find((candidate) => candidate.poolId === pool.id)!;
          return {
            name: pool.name,
            sites: pool.sites,
            usedToday: used.plants[offset]! + used.blocked[offset]!,
            used: weeks.map((day) =>
              Math.max(
                ...Array.from(
                  { length: WEEK },
                  (_, i) => used.plants[day - plan.from + i]! + used.blocked[day - plan.from + i]!,
                ),
              ),
            ),
          };
        })}
        waterCost={supply.cost}
      />
    </Station>
  );
}
