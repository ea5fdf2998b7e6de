import { act, screen, waitFor } from "@testing-library/react";
import type { ActionResult } from "@/server/session/result";
import type { Job } from "@/server/jobs/job";
import { shown } from "../../../tests/component/shown";
import { tellJob, useJob } from "./jobEvents";
import { JobLine } from "./JobLine";

const stop = jest.fn<Promise<ActionResult<undefined>>, [unknown]>(async () => ({ ok: true, value: undefined }));
jest.mock("@/server/jobs/actions", () => ({ stopJob: (input: unknown) => stop(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const job = (state: Job["state"], more: Partial<Job> = {}): Job => ({
  id: 4,
  state,
  progress: null,
  refused: null,
  ...more,
});
function Line({ known }: { known: Job | null }) {
  const now = useJob(known);
  return <JobLine job={now} what="Planning the cuts" how={({ bars }: { bars: number }) => `${bars} bars so far`} />;
}
const status = () => screen.queryByRole("status")?.textContent;

test("heavy work is followed as the server tells of it; what is told of another job is not taken for it", () => {
  shown(<Line known={job("waiting")} />);
  expect(status()).toContain("waits until other work is done");
  act(() => tellJob({ id: 5, state: "running", progress: { bars: 9 } }));
  expect(status()).toContain("waits until other work is done");
  act(() => tellJob({ id: 4, state: "running", progress: { bars: 7 } }));
  expect(status()).toBe("Planning the cuts … 7 bars so far");
  act(() => tellJob({ id: 4, state: "done", refused: null }));
  expect(status()).toBeUndefined();
  expect(screen.queryByRole("button", { name: "Stop" })).toBeNull();
});

test("it can be stopped while it waits and while it runs", async () => {
  const { user } = shown(<Line known={job("running", { progress: { bars: 2 } })} />);
  await user.click(screen.getByRole("button", { name: "Stop" }));
  await waitFor(() => expect(stop).toHaveBeenCalledWith({ id: 4 }));
});

test("why it came to nothing is said and stays; what the page knows to have ended is not begun again by an old word", () => {
  shown(<Line known={job("failed", { refused: { room: "any", kind: "job-gave-up" } })} />);
  act(() => tellJob({ id: 4, state: "running", progress: { bars: 1 } }));
  expect(screen.getByRole("alert").textContent).toMatch(/^Planning the cuts: It was begun several times/u);
  expect(status()).toBeUndefined();
});
