import { growingPause } from "./supervise";

test("the pause doubles while it dies at once, and starts over after it ran well", () => {
  let now = 0;
  const pause = growingPause(() => now);
  const pauses = [];
  for (let deaths = 0; deaths < 9; deaths++) pauses.push(pause());
  expect(pauses).toEqual([300, 600, 1200, 2400, 4800, 9600, 19_200, 30_000, 30_000]);
  now += 91_000;
  expect(pause()).toBe(300);
});
