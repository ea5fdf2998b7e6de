import { whileItAdvances, workDone } from "./progress";

test("it is waited for as long as it gets on, and given up when it stops advancing or ends", async () => {
  let looks = 0;
  const slow = { ready: async () => ++looks > 8, gone: () => false, progress: () => looks };
  expect(await whileItAdvances(slow, 1)).toBe(true);
  expect(await whileItAdvances({ ready: async () => false, gone: () => false, progress: () => 7 }, 1)).toBe(false);
  expect(await whileItAdvances({ ready: async () => false, gone: () => true, progress: Math.random }, 1e9)).toBe(false);
});

test("work counts for a process that works", () => {
  const before = workDone(process.pid);
  for (const end = Date.now() + 120; Date.now() < end;);
  expect(workDone(process.pid)).toBeGreaterThan(before);
  expect(workDone(2 ** 30)).toBe(0);
});
