import type { Metadata } from "next";
import { counted } from "@/core/units/format";
import { WhatIfSheet } from "@/features/batches/whatIf/WhatIfSheet";
import { whatIfView } from "@/server/garden/whatIf/view";
import { viewQuery } from "@/server/session/query";
import { readCached } from "@/server/session/read";
import { pageSession } from "@/server/session/session";
import { Station } from "@/ui/Station";
import { batchTabs } from "../tabs";

export const metadata: Metadata = { title: "What if" };

export default async function WhatIfPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { set } = viewQuery(await searchParams);
  const { whatIf } = await pageSession();
  const chosen = set ?? whatIf;
  const view = await readCached(`what-ifs ${chosen}`, (db, who) => whatIfView(db, who, chosen));
  return (
    <Station
      title="What if"
      facts={
        view.compared.length === 0
          ? "nothing tried yet"
          : `${counted(view.compared.length, "what-if")} beside the garden as it is now`
      }
      tabs={batchTabs("what-if")}
    >
      <WhatIfSheet {...view} />
    </Station>
  );
}
