import type { Metadata } from "next";
import { TrialSheet } from "@/features/growth/trials/TrialSheet";
import { Station } from "@/ui/Station";
import { growthTabs } from "../tabs";

export const metadata: Metadata = { title: "Trials" };

export default function TrialsPage() {
  return (
    <Station title="Trials" facts="is it better, or was it chance?" tabs={growthTabs("trials")}>
      <TrialSheet />
    </Station>
  );
}
