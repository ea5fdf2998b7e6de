"use client";
import type { CatchCanAnswer } from "@/core/water/catchCans";
import { emittersFound } from "@/features/round/words";

const [WIDTH, HEIGHT] = [480, 64];

/** What each can caught, as a bar; blocked emitters are crossed out, blown ones run over the edge. */
export function CanStrip({
  answer: { flowsLph, blocked, blown, ...answer },
  nominalFlowLph,
}: {
  readonly answer: CatchCanAnswer;
  readonly nominalFlowLph: number;
}) {
  const most = 2 * Math.max(nominalFlowLph, answer.medianLph);
  const step = WIDTH / flowsLph.length;
  const y = (flow: number) => HEIGHT - (Math.min(flow, most) / most) * HEIGHT;
  const found = emittersFound({ blocked, blown });
  return (
    <svg
      viewBox={`0 -4 ${WIDTH} ${HEIGHT + 8}`}
      role="img"
      aria-label={`${flowsLph.length} cans along the line. ${found || "None blocked or blown"}`}
      className="mt-1 w-full max-w-xl"
    >
      <path d={`M0 ${HEIGHT}H${WIDTH}`} className="stroke-rule" />
      <path d={`M0 ${y(nominalFlowLph)}H${WIDTH}`} className="stroke-soft" strokeDasharray="4 4" />
      {flowsLph.map((flow, at) => {
        const x = (at + 0.5) * step;
        const isBlocked = blocked.includes(at + 1);
        const isBlown = blown.includes(at + 1);
        return (
          <g key={at}>
            <path
              d={`M${x} ${HEIGHT}V${y(flow)}`}
              className={isBlocked || isBlown ? "stroke-alarm" : "stroke-water"}
              strokeWidth={Math.max(1.5, Math.min(10, step * 0.6))}
              strokeDasharray={isBlown ? "4 2" : undefined}
            />
            {isBlocked && (
              <path
                d={`M${x - 5} ${HEIGHT - 22}l10 10m0 -10l-10 10`}
                className="stroke-alarm"
                strokeWidth="2.5"
                fill="none"
              />
            )}
          </g>
        );
      })}
    </svg>
  );
}
