import type { StandView } from "@/core/garden/placeView";
import { CropSwatch } from "@/features/frame/crops/CropSwatch";

/** Which sign is which variety, for all that grows here today. */
export function VarietyKey({ stands }: { stands: readonly StandView[] }) {
  const varieties = new Map(stands.flatMap(({ growing }) => growing.map((run) => [run.variety, run.mark] as const)));
  return (
    <ul className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      {[...varieties].map(([name, mark]) => (
        <li key={name} className="flex items-center gap-2">
          <CropSwatch mark={mark} />
          {name}
        </li>
      ))}
      <li className="flex items-center gap-2 text-soft">
        <span aria-hidden className="size-3 rounded-full border border-soft" />
        free
      </li>
    </ul>
  );
}
