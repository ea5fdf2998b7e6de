"use client";
import { DndContext, type DragEndEvent, type DragMoveEvent } from "@dnd-kit/core";
import { useDragSensors } from "@/features/frame/useDragSensors";
import type { ReactNode } from "react";
import type { StandView } from "@/core/garden/placeView";
import { lineUnder } from "@/features/frame/plan/standPaths";
import { useCommand } from "@/features/frame/useCommand";
import { putBatch } from "@/server/batches/places";
import type { LineFocus } from "./lineFocus";

/** Plants of the line that is looked at can be dragged onto any line of the plan. */
export function PlantDrag({
  views,
  onOver,
  onCarry,
  children,
}: {
  readonly views: readonly StandView[];
  /** Told the line under the hand; null when it is let go. */
  readonly onOver: (line: LineFocus | null) => void;
  /** Told when plants are taken up, and when they are let go. */
  readonly onCarry: (carrying: boolean) => void;
  readonly children: ReactNode;
}) {
  const put = useCommand(putBatch, { done: "They stand there from now on" });
  const sensors = useDragSensors();
  const lineAt = ({ activatorEvent, delta }: DragMoveEvent | DragEndEvent) => {
    const begun = activatorEvent as MouseEvent | TouchEvent;
    const { clientX, clientY } = "touches" in begun ? begun.touches[0]! : begun;
    return lineOfPlan(views, clientX + delta.x, clientY + delta.y);
  };
  return (
    <DndContext
      sensors={sensors}
      autoScroll={false}
      onDragMove={(event) => onOver(lineAt(event))}
      onDragStart={() => onCarry(true)}
      onDragCancel={() => {
        onCarry(false);
        onOver(null);
      }}
      onDragEnd={(event) => {
        onCarry(false);
        onOver(null);
        const line = lineAt(event);
        const { batchId, stage } = event.active.data.current as { batchId: number; stage: number };
        if (line) void put.run({ batchId, stage, standId: line.standId, line: line.line + 1, firstSite: 1 });
      }}
    >
      {children}
    </DndContext>
  );
}

/** The line of a stand under a point of the screen. */
function lineOfPlan(views: readonly StandView[], x: number, y: number): LineFocus | null {
  const ground = document
    .elementsFromPoint(x, y)
    .find((element): element is SVGRectElement => element instanceof SVGRectElement && "stand" in element.dataset);
  const stand = views.find((view) => view.stand.id === Number(ground?.dataset.stand))?.stand;
  if (!ground || !stand) return null;
  const spot = new DOMPoint(x, y).matrixTransform(ground.getScreenCTM()!.inverse());
  const line = lineUnder(stand, { xM: spot.x, yM: spot.y });
  return line === null ? null : { standId: stand.id, line };
}
