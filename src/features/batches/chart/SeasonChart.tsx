"use client";
import { DndContext, useDraggable, type DragMoveEvent } from "@dnd-kit/core";
import { useDragSensors } from "@/features/frame/useDragSensors";
import { useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from "react";
import type { PlanInput } from "@/core/batches/types";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { useElementWidth } from "@/ui/useElementWidth";
import { BatchCard } from "../card/BatchCard";
import { WeekList } from "../weeks/WeekList";
import { AreaLabels } from "./AreaLabels";
import { ChartBlocks } from "./ChartBlocks";
import { ChartGround } from "./ChartGround";
import { chartGeometry, openAtFirst, type ChartGeometry } from "./chartGeometry";
import { spotOfShift, type Held } from "./held";
import { neighbourOf } from "./neighbours";
import { WayOverlay } from "./WayOverlay";
import { wayWords } from "./wayWords";

const LEAST_WIDTH = 760;
/** Before it is drawn, so that what is below does not jump far. */
const USUAL_HEIGHT = 640;
/** Below this the weeks are a list: days would be too narrow for a name. */
const LIST_BELOW = 620;

export interface SeasonChartProps {
  readonly view: SeasonView;
  /** Null until it is loaded; only a batch that is being moved needs it. */
  readonly input: PlanInput | null;
  /** The batch chosen at first. */
  readonly first: number | null;
  readonly onChange: (batchId: number) => void;
}

/** The season as a picture; on a phone its weeks as a list. Drawn once its width is known, which the server does not know. */
export function SeasonChart(props: SeasonChartProps) {
  const frame = useRef<HTMLDivElement>(null);
  const measured = useElementWidth(frame);
  return (
    <div ref={frame} className="relative overflow-x-auto" style={{ minHeight: USUAL_HEIGHT }}>
      {measured !== null &&
        (measured < LIST_BELOW ? (
          <WeekList view={props.view} />
        ) : (
          <DrawnSeason {...props} width={Math.max(LEAST_WIDTH, measured)} />
        ))}
    </div>
  );
}

/** Days across, growing areas down; the one that is open shows each batch as a block on its lines. */
function DrawnSeason({ view, input, first, onChange, width }: SeasonChartProps & { readonly width: number }) {
  const layer = useRef<HTMLDivElement>(null);
  const batches = useMemo(() => new Map(view.batches.map((batch) => [batch.id, batch])), [view]);
  const [opened, setOpened] = useState<number | null>(() => openFor(view, first));
  const openId = view.growingAreas.some(({ id }) => id === opened) ? opened : openAtFirst(view);
  const geometry = useMemo(() => chartGeometry(view, width, openId), [view, width, openId]);
  const [chosen, setChosen] = useState(first);
  const [lit, setLit] = useState<number | null>(null);
  const [held, setHeld] = useState<Held | null>(null);
  const hold = (batchId: number, stage: number, days: number, lines: number) => {
    const batch = batches.get(batchId);
    const block = view.blocks.find((one) => one.batchId === batchId && one.stage === stage);
    if (!batch) return;
    const earliest = view.today - batch.sowDay;
    const inDays = batch.begun ? 0 : Math.max(earliest, days);
    const spot = lines === 0 || !block ? null : spotOfShift(view, block, lines);
    setHeld({ batchId, stage, days: lines === 0 ? inDays : 0, lines: spot ? lines : 0, spot });
  };
  const onKey = (event: KeyboardEvent) => {
    const key = (event.target as HTMLElement).dataset.block;
    const block = geometry.blocks.find((one) => one.key === key);
    if (!block) return;
    const isHeld = held?.batchId === block.batchId;
    const put = (days: number, lines: number) => {
      event.preventDefault();
      hold(block.batchId, block.stage, days, lines);
    };
    if (event.key === "Escape") {
      setHeld(null);
      if (!isHeld) setChosen(null);
    } else if (event.key === "Enter" && !isHeld) {
      // The press that picks it up must not also press the block.
      setChosen(block.batchId);
      put(0, 0);
    } else if (isHeld && SIDEWAYS[event.key]) put(held.days + SIDEWAYS[event.key]! * (event.shiftKey ? 7 : 1), 0);
    else if (isHeld && UPWARDS[event.key]) put(0, held.lines + UPWARDS[event.key]!);
    else if (event.key === "PageDown" || event.key === "PageUp") {
      const step = batches.get(block.batchId)?.steps[block.stage + (event.key === "PageDown" ? 1 : -1)];
      if (!step) return;
      event.preventDefault();
      setOpened(step.growingAreaId);
      focusSoon(layer, `[data-batch="${block.batchId}"]`);
    } else if (event.key.startsWith("Arrow")) {
      const next = neighbourOf(geometry.blocks, block.key, event.key);
      if (!next) return;
      event.preventDefault();
      layer.current?.querySelector<HTMLElement>(`[data-block="${next.key}"]`)?.focus();
    }
  };
  const sensors = useDragSensors();
  const dragged = useRef<{ batchId: number; stage: number } | null>(null);
  const onDrag = ({ delta }: DragMoveEvent) => {
    if (!dragged.current) return;
    const { batchId, stage } = dragged.current;
    // Along the days or across the lines, whichever the hand goes.
    const isSideways = Math.abs(delta.x) >= Math.abs(delta.y);
    const days = isSideways ? Math.round(delta.x / geometry.dayWidth) : 0;
    hold(batchId, stage, days, isSideways ? 0 : -Math.round(delta.y / lineHeight(geometry)));
  };
  const shown = batches.get(lit ?? chosen ?? -1) ?? batches.get(chosen ?? -1);
  const active = chosen === null ? undefined : batches.get(chosen);
  const open = (id: number) => {
    setHeld(null);
    setOpened(id);
  };
  return (
    <>
      <p className="sticky left-0 h-6 truncate text-sm text-soft">
        {shown
          ? wayWords(shown, view)
          : view.batches.length > 0 && "Point at a batch to see its whole way; press a growing area to open it."}
      </p>
      <DndContext
        sensors={sensors}
        onDragStart={({ activatorEvent }) => {
          dragged.current = blockUnder(activatorEvent.target);
          if (dragged.current) setChosen(dragged.current.batchId);
          setHeld(null);
        }}
        onDragMove={onDrag}
        onDragEnd={onDrag}
        onDragCancel={() => setHeld(null)}
      >
        <div
          className="relative"
          style={{ width, height: geometry.height }}
          role="group"
          aria-label="Season: arrow keys go from batch to batch, Page Up and Page Down follow one through the growing areas; Enter picks it up, arrows then move it by a day or a line, Escape cancels"
        >
          <ChartGround geometry={geometry} view={view} />
          <Hand
            onLight={setLit}
            onKey={onKey}
            onChoose={(batchId) => {
              setChosen(batchId);
              setHeld(null);
            }}
          >
            <ChartBlocks {...{ geometry, batches, view, layer }} />
          </Hand>
          {shown && (
            <WayOverlay geometry={geometry} view={view} batch={shown} held={held?.batchId === shown.id ? held : null} />
          )}
          <AreaLabels bands={geometry.bands} today={view.today} onOpen={open} />
        </div>
      </DndContext>
      {active && (
        <BatchCard
          key={active.id}
          batch={active}
          view={view}
          input={input}
          held={held?.batchId === active.id ? held : null}
          side={cardSide(geometry, active, view)}
          onHold={(days) => hold(active.id, held?.stage ?? 0, days, 0)}
          onRelease={() => setHeld(null)}
          onClose={() => {
            setChosen(null);
            setHeld(null);
          }}
          onChange={() => onChange(active.id)}
        />
      )}
    </>
  );
}

const SIDEWAYS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };
const UPWARDS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1 };

/** What is pointed at lights up, what is pressed is chosen, and all of it can be dragged. */
function Hand({
  onLight,
  onKey,
  onChoose,
  children,
}: {
  readonly onKey: (event: KeyboardEvent) => void;
  readonly onLight: (batchId: number | null) => void;
  readonly onChoose: (batchId: number) => void;
  readonly children: ReactNode;
}) {
  const { setNodeRef, listeners } = useDraggable({ id: "season" });
  return (
    <div
      ref={setNodeRef}
      {...listeners}
      onKeyDown={onKey}
      onPointerOver={({ target }) => onLight(blockUnder(target)?.batchId ?? null)}
      onPointerLeave={() => onLight(null)}
      onFocus={({ target }) => onLight(blockUnder(target)?.batchId ?? null)}
      onBlur={() => onLight(null)}
      onClick={({ target }) => {
        const block = blockUnder(target);
        if (block) onChoose(block.batchId);
      }}
    >
      {children}
    </div>
  );
}

function blockUnder(target: EventTarget | null): { batchId: number; stage: number } | null {
  const key = target instanceof Element ? target.closest<HTMLElement>("[data-block]")?.dataset.block : undefined;
  if (!key) return null;
  const [batchId, stage] = key.split("/").map(Number);
  return { batchId: batchId!, stage: stage! };
}

/** The growing area in which a chosen batch stands last within the window. */
function openFor(view: SeasonView, batchId: number | null): number | null {
  const last = view.blocks.filter((block) => block.batchId === batchId).sort((a, b) => b.stage - a.stage)[0];
  return last?.growingAreaId ?? openAtFirst(view);
}

/** Height of a usual line of the open growing area. */
function lineHeight({ bands }: ChartGeometry): number {
  const open = bands.find(({ isOpen }) => isOpen);
  return open && open.area.lines.length > 0 ? (open.bottom - open.capacityY) / open.area.lines.length : 1;
}

/** Focuses what is drawn with the next picture. */
function focusSoon(layer: { readonly current: HTMLElement | null }, selector: string): void {
  requestAnimationFrame(() =>
    requestAnimationFrame(() => layer.current?.querySelector<HTMLElement>(selector)?.focus()),
  );
}

function cardSide(geometry: ChartGeometry, batch: BatchView, view: SeasonView): "left" | "right" {
  const last = batch.steps.at(-1)!;
  const middle = geometry.x((Math.max(view.from, last.from) + Math.min(view.to, last.to)) / 2);
  return middle > geometry.width / 2 ? "left" : "right";
}
