"use client";
import { createContext, useContext, useId, type ReactNode } from "react";

/** What is wrong with a blank of a sentence. */
export interface BlankProblem {
  readonly name: string;
  readonly words: string;
}

const Problems = createContext<{ readonly id: string; readonly problems: readonly BlankProblem[] }>({
  id: "",
  problems: [],
});

/** What a blank says of itself to a screen reader. */
export function useBlankAria(name: string) {
  const { id, problems } = useContext(Problems);
  const isWrong = problems.some((problem) => problem.name === name);
  return { "aria-invalid": isWrong, "aria-describedby": isWrong ? `${id}-${name}` : undefined };
}

/** A question or a rule as one plain sentence with blanks to fill in; what is wrong with a blank stands under it. */
export function Sentence({
  problems = [],
  size = "large",
  children,
}: {
  readonly problems?: readonly BlankProblem[];
  readonly size?: "large" | "line";
  readonly children: ReactNode;
}) {
  const id = useId();
  return (
    <Problems.Provider value={{ id, problems }}>
      <p className={`sentence ${size === "large" ? "text-[1.75rem] max-sm:text-2xl" : "text-2xl max-sm:text-xl"}`}>
        {children}
      </p>
      {problems.map(({ name, words }) => (
        <p key={name} id={`${id}-${name}`} role="alert" className="mt-1 font-bold text-alarm">
          {words}
        </p>
      ))}
    </Problems.Provider>
  );
}
