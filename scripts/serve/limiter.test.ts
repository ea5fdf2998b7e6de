import { limiter } from "./limiter";

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test("so many are inside at once, the others come in as they leave, in their order", async () => {
  const { enter } = limiter(2, 2000);
  const [first, second] = [await enter(), await enter()];
  const came: string[] = [];
  void enter().then((out) => came.push(`third ${out !== null}`));
  void enter().then((out) => came.push(`fourth ${out !== null}`));
  await jest.advanceTimersByTimeAsync(1000);
  expect(came).toEqual([]);
  first!();
  first!();
  await jest.advanceTimersByTimeAsync(0);
  expect(came).toEqual(["third true"]);
  second!();
  await jest.advanceTimersByTimeAsync(0);
  expect(came).toEqual(["third true", "fourth true"]);
});

test("who waited too long is sent away and leaves its place to nobody's loss", async () => {
  const { enter } = limiter(1, 2000);
  const out = await enter();
  const late = enter();
  await jest.advanceTimersByTimeAsync(2001);
  expect(await late).toBeNull();
  out!();
  expect(await enter()).not.toBeNull();
});
