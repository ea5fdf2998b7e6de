import { may, ROLES, whoMay, type Role } from "./rights";

test("each role may what the one below it may, and nobody unknown may anything", () => {
  expect(may("viewer", "log")).toBe(false);
  expect(may("helper", "log")).toBe(true);
  expect(may("helper", "dose")).toBe(false);
  expect(may("grower", "plan")).toBe(true);
  expect(may("grower", "keep")).toBe(false);
  for (const [index, role] of ROLES.entries())
    for (const above of ROLES.slice(0, index))
      for (const right of ["look", "log", "dose", "plan", "keep"] as const)
        if (may(role, right)) expect(`${above} ${right} ${may(above, right)}`).toBe(`${above} ${right} true`);
  expect(may("owner" as Role, "look")).toBe(false);
  expect(whoMay("keep")).toBe("a keeper");
  expect(whoMay("log")).toBe("a keeper, a grower or a helper");
});
