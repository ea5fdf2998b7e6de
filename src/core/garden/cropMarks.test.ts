import { cropMarks } from "./cropMarks";

const names = ["Batavia", "Basil", "Chives", "Okra", "Mizuna", "Ox", "Beet", "Bean", "Batavia two", "o"];
const varieties = names.map((name, at) => ({ id: at + 1, name }));

test("32 crops differ in tone and hatch, neighbours in tone; initials are of one crop alone; a new crop changes none", () => {
  const many = Array.from({ length: 32 }, (_, at) => ({ id: at + 1, name: `Crop ${at}` }));
  const marks = [...cropMarks(many).values()];
  expect(new Set(marks.map(({ tone, hatch }) => `${tone} ${hatch}`)).size).toBe(32);
  expect(new Set(marks.map(({ initials }) => initials)).size).toBe(32);
  marks.slice(1).forEach(({ tone }, at) => expect(tone).not.toBe(marks[at]!.tone));
  const before = cropMarks(varieties);
  const after = cropMarks([{ id: 99, name: "Batavia" }, ...varieties]);
  for (const { id } of varieties) expect(after.get(id)).toEqual(before.get(id));
  expect([...before.values()].map(({ initials }) => initials)).toEqual(
    expect.arrayContaining(["Ba", "Bs", "Ch", "Ok", "Mi", "Ox", "Be", "Bn"]),
  );
});
