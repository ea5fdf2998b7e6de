import type { CropMark } from "@/core/garden/cropMarks";
import { groundOf, inkOn, toneOf } from "./cropMarks";

/** The sign of a crop beside its name. */
export function CropSwatch({ mark }: { readonly mark: CropMark }) {
  return (
    <span
      aria-hidden
      className="sign inline-grid h-6 w-9 shrink-0 place-items-center rounded-[3px] text-sm"
      style={groundOf(mark)}
    >
      <span className="rounded-[2px] px-0.5 leading-none" style={{ background: toneOf(mark), color: inkOn(mark) }}>
        {mark.initials}
      </span>
    </span>
  );
}
