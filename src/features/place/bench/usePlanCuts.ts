import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { toast } from "sonner";
import { noteRefresh } from "@/ui/refreshed";

export interface Planning {
  readonly best: number | null;
  readonly bound: number | null;
}

/** Asks the server to plan a list, says how far it is, and can be stopped. */
export function usePlanCuts() {
  const router = useRouter();
  const stop = useRef<AbortController | null>(null);
  const [planning, setPlanning] = useState<Planning | null>(null);
  const plan = async (list: { readonly id: number; readonly version: number }) => {
    stop.current = new AbortController();
    setPlanning({ best: null, bound: null });
    try {
      const answer = await fetch("/place/bench/plan", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ id: list.id, version: list.version }),
        signal: stop.current.signal,
      });
      if (!answer.ok) toast.error(await answer.text());
      else
        for await (const line of linesOf(answer)) {
          const said = JSON.parse(line) as { progress?: Planning; problem?: string; done?: true };
          if (said.progress) setPlanning(said.progress);
          if (said.problem) toast.error(said.problem);
          if (said.done) toast.success("The cuts are planned");
        }
    } catch {
      if (stop.current.signal.aborted) toast("Stopped: the list is as it was.");
      else toast.error("No connection: nothing was planned. Try again.");
    }
    setPlanning(null);
    noteRefresh();
    router.refresh();
  };
  return { planning, plan, stop: () => stop.current?.abort() };
}

async function* linesOf(answer: Response): AsyncGenerator<string> {
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    const lines = (rest + part.value).split("\n");
    rest = lines.pop()!;
    yield* lines.filter(Boolean);
  }
}
