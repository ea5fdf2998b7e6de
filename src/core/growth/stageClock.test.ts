import { stageClock, stageEnd } from "./stageDays";

test("the clock that sums once gives the same days as the stage walked day by day, leap day and span ends included", () => {
  const months = [44, 39, 33.5, 28, 25, 23, 22, 24, 28, 33, 39, 44];
  const length = { daysByMonth: months };
  const from = 19_500;
  const clock = stageClock(length, from, from + 500);
  for (let start = from - 20; start < from + 520; start++)
    expect([start, clock(start)]).toEqual([start, stageEnd(start, length)]);
});
