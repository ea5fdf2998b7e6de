import type { Metadata } from "next";
import { QuickAnswers } from "@/features/round/answers/QuickAnswers";
import { questionOf } from "@/features/round/answers/questions";
import { may } from "@/core/people/rights";
import { season } from "@/server/garden/season";
import { Station } from "@/ui/Station";
import { roundTabs } from "../tabs";

export const metadata: Metadata = { title: "Quick answers" };

export default async function AnswersPage({ searchParams }: { searchParams: Promise<{ q?: string | string[] }> }) {
  const { q } = await searchParams;
  const { who, garden, today } = await season();
  const named = ({ id, name }: { id: number; name: string }) => ({ id, name });
  return (
    <Station title="Quick answers" facts="nothing is kept until you say so" tabs={roundTabs("answers")}>
      <QuickAnswers
        first={questionOf(q)}
        context={{
          units: who.units,
          latitudeDeg: garden.latitudeDeg,
          latitudeIsKnown: true,
          today,
          garden: {
            houses: garden.houses.map(named),
            loops: garden.loops.map(named),
            mayPlan: may(who.role, "plan"),
          },
        }}
      />
    </Station>
  );
}
