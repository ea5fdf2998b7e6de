"use client";
import { stopJob } from "@/server/jobs/actions";
import type { Job } from "@/server/jobs/job";
import { Button } from "@/ui/Button";
import { useUnits } from "@/ui/units";
import { refusalWords } from "./refusalWords";
import { useCommand } from "./useCommand";

export const isAtWork = (job: Job | null): job is Job => job?.state === "waiting" || job?.state === "running";

export interface JobLineProps<Progress> {
  readonly job: Job | null;
  /** What is done: "Planning the cuts". */
  readonly what: string;
  /** How far it is, in words. */
  readonly how: (progress: Progress) => string;
}

/** Heavy work: what it is, how far it is, and the way to stop it; or why it came to nothing. */
export function JobLine<Progress>({ job, what, how }: JobLineProps<Progress>) {
  const units = useUnits();
  const { run, busy } = useCommand(stopJob, { done: "Stopped: everything is as it was", undo: false });
  if (job?.state === "failed" && job.refused)
    return (
      <p role="alert" className="border-l-[6px] border-alarm bg-alarm-pale px-3 py-1.5 font-bold">
        {what}: {refusalWords(job.refused, units)}
      </p>
    );
  if (!isAtWork(job)) return null;
  return (
    <>
      <Button look="alarm" disabled={busy} onClick={() => void run({ id: job.id })}>
        Stop
      </Button>
      <span role="status" className="text-soft">
        {what} …{" "}
        {job.state === "waiting"
          ? "waits until other work is done; you can go on meanwhile."
          : job.progress !== null && how(job.progress as Progress)}
      </span>
    </>
  );
}
