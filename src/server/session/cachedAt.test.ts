import { cachedAt } from "./cachedAt";

test("it is made once for a point, again for another, and a failure is not kept", async () => {
  let made = 0;
  const make = async () => ++made;
  expect([
    await cachedAt("a", "1", make),
    await cachedAt("a", "1", make),
    await cachedAt("b", "1", make),
    await cachedAt("a", "2", make),
  ]).toEqual([1, 1, 2, 3]);
  await expect(cachedAt("a", "3", () => Promise.reject(new Error("away")))).rejects.toThrow("away");
  expect(await cachedAt("a", "3", make)).toBe(4);
});

test("the ones used longest ago go first", async () => {
  const first = await cachedAt("first", "1", async () => ({}));
  for (let name = 0; name < 299; name++) await cachedAt(`${name}`, "1", async () => name);
  expect(await cachedAt("first", "1", async () => ({}))).toBe(first);
  await cachedAt("one more", "1", async () => 0);
  expect(await cachedAt("first", "1", async () => ({}))).toBe(first);
  expect(await cachedAt("0", "1", async () => "again")).toBe("again");
});
