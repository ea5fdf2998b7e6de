import { spreadTimes, timerOf } from "./timerBlanks";

test("runs are spread from one hour to another, both included, over midnight too", () => {
  expect(spreadTimes(3, 480, 1020)).toEqual([480, 750, 1020]);
  expect(spreadTimes(1, 480, 1020)).toEqual([480]);
  expect(spreadTimes(3, 1320, 240)).toEqual([60, 240, 1320]);
});

test("a program is told whole or not at all", () => {
  expect(timerOf("continuous", {})).toEqual({ kind: "continuous" });
  expect(timerOf("every", { runMin: 1, everyMin: 15, fromMin: 360, toMin: 1440 })).toMatchObject({ toMin: 1440 });
  expect(timerOf("every", { runMin: 20, everyMin: 15, fromMin: 360, toMin: 1440 })).toBeNull();
  expect(timerOf("spread", { runMin: 12, fromMin: 480, toMin: 1020 })).toBeNull();
});
