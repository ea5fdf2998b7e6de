import { passwordProblem } from "./password";

jest.mock("next/headers", () => ({}));

test("what is tried first is refused: the most used, and names that others know", () => {
  for (const common of ["qwertyuiop", "QWERTYUIOP", "basketball1", "password123!"])
    expect(passwordProblem(common, [])).toBe("common-password");
  const names = ["Saltcote Yard", "Inês Varela", "ines"];
  for (const own of [
    "saltcote-yard",
    "SALTCOTE YARD",
    "saltcoteyard2027",
    "Ines Varela",
    "inesvarela12",
    "saltcoteyardsaltcoteyard",
  ])
    expect(passwordProblem(own, names)).toBe("known-name-password");
  for (const good of ["four words in a row", "saltcote yard at dawn", "ines grows mizuna", "x9!kd-22-qq"])
    expect(passwordProblem(good, names)).toBeNull();
});
