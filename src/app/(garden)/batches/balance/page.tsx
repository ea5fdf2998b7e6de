import type { Metadata } from "next";
import { balanceView } from "@/core/garden/balance";
import { BalanceSheet } from "@/features/batches/BalanceSheet";
import { seasonWithFacts } from "@/server/round/today";
import { Station } from "@/ui/Station";
import { batchTabs } from "../tabs";

export const metadata: Metadata = { title: "Balance" };

export default async function BalancePage() {
  const balance = balanceView(await seasonWithFacts());
  return (
    <Station
      title="Balance"
      facts={`${balance.met} of ${balance.ahead} deliveries ahead are met by the plan`}
      tabs={batchTabs("balance")}
    >
      <BalanceSheet {...balance} />
    </Station>
  );
}
