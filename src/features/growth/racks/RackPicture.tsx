import type { CSSProperties } from "react";
import type { RackTray, RackView, TrayRun } from "@/core/garden/rackView";
import { counted } from "@/core/units/format";
import { groundOf, toneOf } from "@/features/frame/crops/cropMarks";

/** Of a tray with more batches so many are named. */
const MOST_NAMED = 2;

/** A rack seen from the front: shelf over shelf, tray beside tray, filled as its cells are; what is in the dark is hatched. */
export function RackPicture({ rack }: { readonly rack: RackView }) {
  const across = Math.max(1, ...rack.shelves.map((shelf) => shelf.length));
  return (
    <div className="overflow-x-auto border-x-4 border-ink">
      {rack.shelves.map((trays, shelf) => (
        <ol
          key={shelf}
          aria-label={`Shelf ${shelf + 1}`}
          className="grid gap-2 border-b-4 border-ink px-2 pt-2"
          style={{ gridTemplateColumns: `repeat(${across}, minmax(5.5rem, 1fr))` }}
        >
          {trays.map((tray) => (
            <Tray key={tray.number} tray={tray} />
          ))}
        </ol>
      ))}
    </div>
  );
}

function Tray({ tray }: { readonly tray: RackTray }) {
  const { number, cells, runs } = tray;
  const words = `tray ${number}: ${runs.length === 0 ? "free" : runs.map(runWords).join("; ")}`;
  return (
    <li
      aria-label={words}
      title={words}
      className="flex h-[4.5rem] flex-col justify-between overflow-hidden rounded-t border border-b-0 border-soft bg-sheet"
    >
      <div className="min-h-0 px-1 pt-0.5 text-sm leading-tight">
        {runs.length === 0 && <span className="text-soft">free</span>}
        {runs.slice(0, MOST_NAMED).map((run) => (
          <span key={run.batchId} className="block truncate">
            <b>{run.variety}</b> {runs.length === 1 && <br />}
            {run.dayOf > run.ofDays ? "ready" : `day ${run.dayOf} of ${run.ofDays}`}
            {run.isDark && ", dark"}
          </span>
        ))}
        {runs.length > MOST_NAMED && <span className="text-soft">and {runs.length - MOST_NAMED} more</span>}
      </div>
      <div className="flex h-4 border-t border-soft">
        {runs.map((run) => (
          <span key={run.batchId} style={{ width: `${(100 * run.cells) / cells}%`, ...trayGround(run) }} />
        ))}
      </div>
    </li>
  );
}

function trayGround({ mark, isDark }: TrayRun): CSSProperties {
  return isDark
    ? { background: `repeating-linear-gradient(45deg, #14201c 0 5px, ${toneOf(mark)} 5px 10px)` }
    : groundOf(mark);
}

function runWords({ variety, cells, dayOf, ofDays, isDark }: TrayRun): string {
  return `${variety}, ${cells > 1 ? `${counted(cells, "cell")}, ` : ""}day ${dayOf} of ${ofDays}${isDark ? ", in the dark" : ""}`;
}
