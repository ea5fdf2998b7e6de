import type { ReactNode } from "react";
import { FootAxis, SideAxis, type Foot, type Side } from "./axes";

export interface ChartFrameProps {
  readonly width: number;
  readonly height: number;
  /** What the picture shows, for screen readers. */
  readonly label: string;
  readonly fontSize: number;
  readonly side?: Side;
  readonly foot?: Foot;
  readonly className?: string;
  readonly children: ReactNode;
}

/** The frame of a chart: its size, what it says in words, and its axes under what is drawn. */
export function ChartFrame({ width, height, label, fontSize, side, foot, className, children }: ChartFrameProps) {
  return (
    <svg viewBox={`0 0 ${width} ${height}`} role="img" aria-label={label} className={className ?? "w-full"}>
      {children}
      {side && <SideAxis side={side} fontSize={fontSize} />}
      {foot && <FootAxis foot={foot} y={height - fontSize / 3} fontSize={fontSize} />}
    </svg>
  );
}
