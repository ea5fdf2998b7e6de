"use client";
import { useState, type ComponentType } from "react";
import { Button } from "@/ui/Button";
import type { AnswerContext } from "./context";
import { ChainAnswer } from "./ChainAnswer";
import { FitAnswer } from "./FitAnswer";
import { PumpAnswerSheet } from "./PumpAnswerSheet";
import { SowAnswer } from "./SowAnswer";
import { TankAnswer } from "./TankAnswer";
import { WaterAnswer } from "./WaterAnswer";
import { WeekAnswer } from "./WeekAnswer";
import { QUESTIONS, type Question } from "./questions";

const SHEETS: Readonly<Record<Question, ComponentType<{ readonly context: AnswerContext }>>> = {
  fit: FitAnswer,
  water: WaterAnswer,
  tank: TankAnswer,
  sow: SowAnswer,
  week: WeekAnswer,
  chain: ChainAnswer,
  pump: PumpAnswerSheet,
};

/** Questions that want an answer before there is any garden; which one is in the address. */
export function QuickAnswers({ context, first }: { readonly context: AnswerContext; readonly first: Question }) {
  const [question, setQuestion] = useState(first);
  const ask = (next: Question) => {
    setQuestion(next);
    const url = new URL(window.location.href);
    url.searchParams.set("q", next);
    window.history.replaceState(null, "", url);
  };
  const Sheet = SHEETS[question];
  return (
    <>
      <div role="group" aria-label="Questions" className="mb-5 flex flex-wrap gap-2">
        {QUESTIONS.map(({ name, words }) => (
          <Button
            key={name}
            look={name === question ? "strong" : "plain"}
            aria-pressed={name === question}
            onClick={() => ask(name)}
          >
            {words}
          </Button>
        ))}
      </div>
      <Sheet key={question} context={context} />
    </>
  );
}
