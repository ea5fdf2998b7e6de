"use client";
import { lineLabel, lineSitePoints, standLayout } from "@/core/place/standLayout";
import type { StandView } from "@/core/garden/placeView";
import { ChannelStrip } from "@/features/frame/plan/ChannelStrip";
import { LinePlants, NextForLine } from "./plan/LinePlants";
import { lineWordsToday, plantsOfLine } from "./lineToday";

/** The line under the pointer or the keyboard focus, drawn large. */
export function LineStrip({ view, line }: { view: StandView; line: number }) {
  const { spec, name } = view.stand;
  const layout = standLayout(spec).lines[line];
  if (!layout) return null;
  const plants = plantsOfLine(view, line);
  const words = lineWordsToday(view, line);
  const sites = lineSitePoints(spec).map((point, index) => {
    const run = plants[index];
    return {
      ...point,
      plant: run && { mark: run.mark, age: (run.dayOfStage + 1) / run.daysOfStage },
    };
  });
  return (
    <div className="mt-3">
      <p>
        <span className="sign text-xl">
          {name}, {lineLabel(spec, line)}
        </span>{" "}
        <span className="text-soft">{words}</span>
      </p>
      <LinePlants view={view} line={line} />
      <ChannelStrip
        label={`${name}, ${lineLabel(spec, line)}: ${words}`}
        lengthM={layout.lengthM}
        widthM={layout.widthM}
        sites={sites}
      />
      <NextForLine view={view} line={line} />
    </div>
  );
}
