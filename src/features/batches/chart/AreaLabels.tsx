import type { GrowingAreaView } from "@/core/garden/seasonAreas";
import { dayInWords, type Day } from "@/core/units/day";
import { counted } from "@/core/units/format";
import { ChevronDown, ChevronRight } from "lucide-react";
import type { Band } from "./chartGeometry";

/** The names of the growing areas, each a press that opens it wide. */
export function AreaLabels({
  bands,
  today,
  onOpen,
}: {
  readonly bands: readonly Band[];
  readonly today: Day;
  readonly onOpen: (id: number) => void;
}) {
  return bands.map(({ area, isOpen, top, capacityY, bottom }) => {
    const Chevron = isOpen ? ChevronDown : ChevronRight;
    return (
      <button
        key={area.id}
        type="button"
        aria-expanded={isOpen}
        onClick={() => onOpen(area.id)}
        className="absolute left-0 flex w-[142px] flex-col justify-start overflow-hidden text-left leading-tight"
        style={{
          top: isOpen ? capacityY : top - 1,
          height: isOpen ? Math.min(bottom - capacityY, 120) : bottom - top + 2,
        }}
      >
        <span className="sign flex w-full items-center gap-0.5 text-[16px] leading-[17px]">
          <Chevron aria-hidden className="size-4 shrink-0" />
          <span className="truncate">{area.name}</span>
        </span>
        <span
          className={`pl-[18px] text-[13px] leading-[13px] ${area.daysOver ? "font-bold text-alarm" : "text-soft"}`}
        >
          {area.daysOver ? `${counted(area.daysOver, "day")} over` : `${counted(area.sites, "site")}, fits`}
        </span>
        {isOpen && <Free free={area.free} today={today} />}
      </button>
    );
  });
}

/** How much is free, and in how small pieces. */
function Free({ free, today }: Pick<GrowingAreaView, "free"> & { readonly today: Day }) {
  const when = free.day === today ? "now" : `on ${dayInWords(free.day)}`;
  return (
    <span className="pl-[18px] text-[13px] text-soft">
      {free.sites === 0 ? (
        `none free ${when}`
      ) : (
        <>
          <b className="text-ink">{free.sites}</b> free {when}, <b className="text-ink">{free.onWholeLines}</b> on whole
          lines
          {free.sites > free.onWholeLines && <>, the rest in pieces</>}
        </>
      )}
    </span>
  );
}
