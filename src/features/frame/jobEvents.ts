import { useEffect, useState } from "react";
import type { Job } from "@/server/jobs/job";

const SAID = "seed-round-job";

/** Passes on what the server says of a job. */
export function tellJob(said: unknown): void {
  window.dispatchEvent(new CustomEvent(SAID, { detail: said }));
}

/** A job as it is by now: as the page knows it, and as the server has said since. */
export function useJob(job: Job | null): Job | null {
  const [said, setSaid] = useState<Partial<Job> & { readonly id?: number }>({});
  useEffect(() => {
    const hear = (event: Event) => setSaid((event as CustomEvent<Partial<Job>>).detail);
    window.addEventListener(SAID, hear);
    return () => window.removeEventListener(SAID, hear);
  }, []);
  // What the page knows to have ended has ended, whatever was said before.
  const isOpen = job?.state === "waiting" || job?.state === "running";
  return job && isOpen && said.id === job.id ? { ...job, ...said } : job;
}
