import type { Metadata } from "next";
import { redirect } from "next/navigation";
import { dayInWords } from "@/core/units/day";
import { fittingScale } from "@/features/place/paper";
import { PrintPlan } from "@/features/place/PrintPlan";
import { season } from "@/server/garden/season";
import { houseViews } from "@/core/garden/placeView";
import { viewQuery } from "@/server/session/query";
import { Station } from "@/ui/Station";

export const metadata: Metadata = { title: "Plan on paper" };

export default async function PrintPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const worked = await season();
  const { house, scale, paper = "A4" } = viewQuery(await searchParams);
  const houses = houseViews(worked);
  const view = houses.find((one) => one.house.id === house) ?? houses[0];
  if (!view) redirect("/place");
  return (
    <Station title="Plan on paper" facts={`${view.house.name} · true to scale`}>
      <PrintPlan
        view={view}
        scale={scale ?? fittingScale(view.house, paper)}
        paper={paper}
        day={dayInWords(worked.who.today, "year")}
      />
    </Station>
  );
}
