import type { StandView } from "@/core/garden/placeView";
import { toneOf } from "@/ui/tones";

/** Which tone is which variety, for all that grows here today. */
export function VarietyKey({ stands }: { stands: readonly StandView[] }) {
  const varieties = new Map(stands.flatMap(({ growing }) => growing.map((run) => [run.variety, run.tone] as const)));
  return (
    <ul className="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-sm">
      {[...varieties].map(([name, tone]) => (
        <li key={name} className="flex items-center gap-2">
          <span aria-hidden className="size-3.5 rounded-full" style={{ background: toneOf(tone) }} />
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
