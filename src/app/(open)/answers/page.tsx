import type { Metadata } from "next";
import { headers } from "next/headers";
import { redirect } from "next/navigation";
import { METRIC } from "@/core/units/dimensions";
import { GUESSED_LATITUDE_DEG } from "@/features/round/answers/context";
import { QuickAnswers } from "@/features/round/answers/QuickAnswers";
import { questionOf } from "@/features/round/answers/questions";
import { today } from "@/server/session/clock";
import { preferencesOf } from "@/server/session/proposals";
import { maybeSession } from "@/server/session/session";
import { Station } from "@/ui/Station";

export const metadata: Metadata = { title: "Quick answers" };

/** The answers before there is any garden; who has one is led to those of it. */
export default async function OpenAnswersPage({ searchParams }: { searchParams: Promise<{ q?: string | string[] }> }) {
  const question = questionOf((await searchParams).q);
  if (await maybeSession()) redirect(`/round/answers?q=${question}`);
  const units = { ...METRIC, ...preferencesOf((await headers()).get("accept-language")) };
  return (
    <Station title="Quick answers" facts="nothing is kept until you say so">
      <QuickAnswers
        first={question}
        context={{
          units,
          latitudeDeg: GUESSED_LATITUDE_DEG,
          latitudeIsKnown: false,
          today: today("UTC"),
          garden: null,
        }}
      />
    </Station>
  );
}
