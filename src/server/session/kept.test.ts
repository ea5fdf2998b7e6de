import { keptAt } from "./kept";

test("it is made once for a point, anew for another, and a failure is not kept", async () => {
  let made = 0;
  const make = async () => ++made;
  expect([
    await keptAt("a", "1", make),
    await keptAt("a", "1", make),
    await keptAt("b", "1", make),
    await keptAt("a", "2", make),
  ]).toEqual([1, 1, 2, 3]);
  await expect(keptAt("a", "3", () => Promise.reject(new Error("away")))).rejects.toThrow("away");
  expect(await keptAt("a", "3", make)).toBe(4);
});

test("the ones used longest ago go first", async () => {
  const first = await keptAt("first", "1", async () => ({}));
  for (let name = 0; name < 299; name++) await keptAt(`${name}`, "1", async () => name);
  expect(await keptAt("first", "1", async () => ({}))).toBe(first);
  await keptAt("one more", "1", async () => 0);
  expect(await keptAt("first", "1", async () => ({}))).toBe(first);
  expect(await keptAt("0", "1", async () => "anew")).toBe("anew");
});
