"use client";
import type { ReactNode } from "react";
import { Sentence, type BlankProblem } from "@/ui/blank/Sentence";
import { UnitsProvider } from "@/ui/units";
import type { UnitPreferences } from "@/core/units/dimensions";

/** A line beside the answer: what it is of, and its figure. */
export interface AnswerRow {
  readonly what: string;
  readonly figure: string;
  /** Something to look at. */
  readonly alarm?: boolean;
}

export interface AnswerParts {
  readonly sentence: ReactNode;
  readonly problems: readonly BlankProblem[];
  readonly units: UnitPreferences;
  readonly figure: string;
  readonly unit: string;
  readonly about?: ReactNode;
  readonly rows?: readonly AnswerRow[];
  readonly how: readonly string[];
  readonly picture?: ReactNode;
  readonly keep?: ReactNode;
  readonly caution?: string;
}

/** The column beside sentence and picture. */
const BESIDE = "border-ink lg:border-l-2 lg:pl-6";

/** A quick answer: the sentence, its picture to scale, and beside them what it comes to. */
export function AnswerFrame(props: AnswerParts) {
  const { sentence, problems, units, figure, unit, about, rows = [], how, picture, keep, caution } = props;
  const isOld = problems.length > 0;
  return (
    <UnitsProvider units={units}>
      <div className="grid gap-x-8 lg:grid-cols-[minmax(0,1fr)_19rem]">
        <div className="min-w-0">
          <Sentence problems={problems}>{sentence}</Sentence>
        </div>
        {/* On a phone the figure comes before the picture, so that it is seen while the sentence is filled in. */}
        <section aria-label="Answer" className="contents">
          <div aria-live="polite" className={`${BESIDE} max-lg:mt-4 max-lg:border-t-2 max-lg:pt-4`}>
            <p className={`sign flex flex-wrap items-baseline gap-x-3 ${isOld ? "text-soft" : ""}`}>
              <span className="text-7xl leading-none max-sm:text-6xl">{figure}</span>{" "}
              <span className="text-2xl text-soft">{unit}</span>
            </p>
            {isOld && <p className="mt-1 text-soft">The answer to what stood there before.</p>}
            {about && <div className="mt-2 text-soft">{about}</div>}
          </div>
          <div className={`mt-4 min-w-0 ${isOld ? "opacity-60" : ""}`}>{picture}</div>
          <div className={BESIDE}>
            {rows.length > 0 && (
              <dl className="mt-4">
                {rows.map((row) => (
                  <div key={row.what} className="flex items-baseline justify-between gap-4 border-b border-rule py-2">
                    <dt>{row.what}</dt>
                    <dd
                      className={`sign shrink-0 whitespace-nowrap text-right text-xl ${row.alarm ? "text-alarm" : ""}`}
                    >
                      {row.figure}
                    </dd>
                  </div>
                ))}
              </dl>
            )}
            {caution && <p className="mt-3 border-l-[6px] border-feed bg-feed-pale px-3 py-2">{caution}</p>}
            {keep && <div className="mt-4">{keep}</div>}
            <details className="mt-4">
              <summary className="sign inline-flex min-h-11 items-center text-lg underline underline-offset-4">
                How it is worked out
              </summary>
              <ul className="mt-1 list-disc space-y-1 pl-5">
                {how.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </details>
          </div>
        </section>
      </div>
    </UnitsProvider>
  );
}
