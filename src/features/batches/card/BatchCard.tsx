"use client";
import { X } from "lucide-react";
import { useState } from "react";
import type { PlanInput } from "@/core/batches/types";
import type { BatchView, SeasonView } from "@/core/garden/seasonView";
import { dayInWords } from "@/core/units/day";
import { formatNumber } from "@/core/units/format";
import { Only } from "@/features/frame/who";
import { Button } from "@/ui/Button";
import { CropSwatch } from "@/features/frame/crops/CropSwatch";
import { PageLink } from "@/ui/PageLink";
import { Why } from "@/ui/Why";
import type { Held } from "../chart/held";
import { BatchStays } from "./BatchStays";
import { JoinForm, PinButton, SplitForm } from "./BatchParts";
import { MoveCard } from "./MoveCard";
import { PlaceCard } from "./PlaceCard";

export interface BatchCardProps {
  readonly batch: BatchView;
  readonly view: SeasonView;
  readonly input: PlanInput | null;
  /** Where it is held: on another day or on other lines. */
  readonly held: Held | null;
  readonly side: "left" | "right";
  readonly onHold: (days: number) => void;
  readonly onRelease: () => void;
  readonly onClose: () => void;
  readonly onChange: () => void;
}

/** The chosen batch: where it goes and when; while it is moved, what that would cause and which day would be better. */
export function BatchCard(props: BatchCardProps) {
  const { batch, view, input, held, side, onHold, onRelease, onClose } = props;
  return (
    <section
      aria-label={`${batch.variety} of ${dayInWords(batch.sowDay)}`}
      className={`fixed bottom-4 z-30 max-h-[calc(100dvh-2rem)] w-[23rem] max-w-[calc(100vw-2rem)] overflow-y-auto rounded border-2 border-ink bg-sheet p-4 shadow-lg ${side === "left" ? "left-4 md:left-[22rem]" : "right-4"}`}
    >
      <div className="flex items-start justify-between gap-2">
        <h2 className="flex items-center gap-2 text-2xl leading-tight">
          <CropSwatch mark={batch.mark} />
          {batch.variety}, {dayInWords(batch.sowDay)}
        </h2>
        <button type="button" aria-label="Close" className="grid size-9 shrink-0 place-items-center" onClick={onClose}>
          <X aria-hidden className="size-5" />
        </button>
      </div>
      {held && held.lines !== 0 && held.spot ? (
        <PlaceCard batch={batch} view={view} held={held} spot={held.spot} onRelease={onRelease} />
      ) : !held || held.days === 0 ? (
        <Facts {...props} />
      ) : input === null ? (
        <p role="status">Loading the plan …</p>
      ) : (
        <MoveCard batch={batch} view={view} input={input} days={held.days} onHold={onHold} onDone={onClose} />
      )}
    </section>
  );
}

function Facts({ batch, view, onHold, onChange, onClose }: BatchCardProps) {
  const [parting, setParting] = useState<"split" | "join" | null>(null);
  return (
    <>
      <BatchStays batch={batch} view={view} />
      <p className="mt-2 text-sm">
        Ready{" "}
        <Why
          label="Ready"
          how="From the day it is sown through its stages: each day counts as a share of the stage, by the length that the stage has in the month of that day. Stages that really began take the place of the plan."
        >
          {dayInWords(batch.readyDay)}
        </Why>
        ; orders take{" "}
        <Why
          label="What orders take"
          how="Each market day's orders are met from the batches that are ready then, the oldest first; a batch gives its plants × the yield of a plant."
        >
          {formatNumber(batch.unitsOrdered, 1)} of {formatNumber(batch.unitsInAll, 1)} {batch.unit}
        </Why>
        .
      </p>
      {batch.note && <p className="mt-1 text-sm text-soft">{batch.note}</p>}
      <PageLink href={`/people/history?batch=${batch.id}`} className="mt-1 inline-block min-h-8 text-sm underline">
        Who changed it
      </PageLink>
      <Only right="plan">
        {batch.begun && <p className="text-sm text-soft">Sown: its dates are fixed.</p>}
        {parting === "split" && <SplitForm batch={batch} onDone={onClose} onLeave={() => setParting(null)} />}
        {parting === "join" && <JoinForm batch={batch} view={view} onDone={onClose} onLeave={() => setParting(null)} />}
        {parting === null && (
          <div className="mt-2 flex flex-wrap gap-2">
            {!batch.begun && (
              <>
                <Button onClick={() => onHold(-7)}>A week earlier</Button>
                <Button onClick={() => onHold(7)}>A week later</Button>
                <Button look="quiet" onClick={onChange}>
                  Edit or delete
                </Button>
                <PinButton batch={batch} />
              </>
            )}
            {!batch.cleared && (
              <Button look="quiet" onClick={() => setParting("split")}>
                Split
              </Button>
            )}
            {!batch.begun && (
              <Button look="quiet" onClick={() => setParting("join")}>
                Join
              </Button>
            )}
          </div>
        )}
      </Only>
    </>
  );
}
