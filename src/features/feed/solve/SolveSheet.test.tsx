import { screen, waitFor } from "@testing-library/react";
import type { LoopFeed } from "@/core/garden/fed";
import type { RecipeProposal } from "@/core/garden/recipeProposal";
import { recipeResult } from "@/core/feed/recipeResult";
import { METRIC } from "@/core/units/dimensions";
import type { ActionResult } from "@/server/session/result";
import { shown } from "../../../../tests/component/shown";
import { SolveAgainNote } from "./SolveAgainNote";
import { SolveSheet, type SolveSheetProps } from "./SolveSheet";

const act = jest.fn<Promise<ActionResult<unknown>>, [unknown]>(async () => ({ ok: true, value: undefined }));
jest.mock("@/server/feed/takeAmounts", () => ({ takeAmounts: (input: unknown) => act(input) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));
beforeEach(() => act.mockClear());

const common = { solubilityGPerL: null, pricePerKg: 2 };
const salts: RecipeProposal["salts"] = [
  {
    ...common,
    id: 1,
    name: "potassium nitrate",
    percent: { "NO3-N": 13.85, K: 38.67 },
    stock: "A",
    ...{ onHandG: 0, gPer1000L: 500 },
  },
  {
    ...common,
    id: 2,
    name: "potassium sulfate",
    percent: { K: 44.87, S: 18.4 },
    stock: "B",
    ...{ onHandG: 900, gPer1000L: 100 },
  },
  {
    ...common,
    id: 3,
    name: "calcium nitrate",
    percent: { "NO3-N": 11.86, Ca: 16.97 },
    stock: "A",
    ...{ onHandG: 900, gPer1000L: null },
  },
];
const targetsMgPerL = { "NO3-N": 100, K: 250, Mg: 20 };
const wish = { targetsMgPerL, waterMgPerL: { Ca: 12 }, salts };
const result = recipeResult(wish, [400, 0, 100]);
const found = { solved: { ...result, missSum: 1 }, strength: 0.5, writtenGPer1000L: [800, 0, 200] };
const proposal: RecipeProposal = {
  ...{ salts, found, unique: [true, false, true] },
  limits: [{ kind: "nothing-brings", aim: "Mg" }],
  missing: [{ name: "magnesium sulfate heptahydrate", worstMiss: 0.1 }],
};
const feed = {
  recipe: { id: 7, name: "Fruiting", ecMsPerCm: 2.2 },
  sheet: { strength: 0.5, result, waterIons: { HCO3: 2 }, waterEcMsPerCm: 1.1 },
} as unknown as LoopFeed;
const sheet = (own: Partial<SolveSheetProps> = {}) => (
  <SolveSheet
    {...{
      loops: [{ id: 4, name: "Drip" }],
      loopId: 4,
      feed,
      from: "recipe",
      by: "worst",
      waterName: "Salty well",
      alsoFor: [],
      proposal,
    }}
    {...own}
  />
);
const take = () => screen.getByRole<HTMLButtonElement>("button", { name: "Take these amounts" });

test("what was solved stands beside what is in use, with its reasons, and is taken over at a press", async () => {
  const { user } = shown(sheet({ alsoFor: ["Pond"] }));
  const comesTo = screen.getByRole("region", { name: "What it comes to" }).textContent;
  expect(comesTo).toContain("Mg: none of these salts brings it.");
  expect(comesTo).toContain("With magnesium sulfate heptahydrate the worst miss would be 10 %, not 100 %.");
  const own = screen.getByRole("region", { name: "Salts" }).textContent;
  for (const words of ["none left on the shelf", "another amount would do as well", "The same recipe feeds Pond"])
    expect(own).toContain(words);
  expect(screen.getByRole("img", { name: /^K: .* mg\/L from potassium nitrate$/u })).toBeTruthy();
  await user.click(take());
  const taken = [
    { saltId: 1, stock: "A", gPer1000L: 800 },
    { saltId: 2, stock: "B", gPer1000L: 0 },
    { saltId: 3, stock: "A", gPer1000L: 200 },
  ];
  await waitFor(() => expect(act).toHaveBeenCalledWith({ recipeId: 7, salts: taken }));
});

test("amounts that are in use are not taken again; a feed that cannot be made says which way out there is", () => {
  const inUse = salts.map((salt, at) => ({ ...salt, gPer1000L: found.writtenGPer1000L[at]! }));
  const { unmount } = shown(sheet({ proposal: { ...proposal, salts: inUse } }));
  expect(take().disabled).toBe(true);
  unmount();
  const strong = shown(sheet({ proposal: { ...proposal, found: "water-too-strong" } }));
  expect(screen.getByRole("alert").textContent).toContain("Salty well alone has EC 1.1 mS/cm");
  strong.unmount();
  shown(sheet({ feed: null, proposal: null }));
  expect(screen.getByText("Nothing to solve yet")).toBeTruthy();
});

test("a limit that is not held is told; where gallons are at home salts are told for a hundred of them", () => {
  const notHeld = [{ kind: "greatest", aim: "Na", limitMgPerL: 20, reachedMgPerL: 35 }] as const;
  const solved = { ...found, solved: { ...found.solved, notHeld } };
  shown(sheet({ proposal: { ...proposal, found: solved } }), { ...METRIC, system: "us" });
  expect(screen.getByRole("alert").textContent).toBe("Na is 35 mg/L; it was to be at most 20 mg/L.");
  const own = screen.getByRole("region", { name: "Salts" }).textContent;
  expect(own).toContain("Salts for 100 gal of feed");
  expect(own).not.toMatch(/1000 L/u);
});

test("the recipe says why it could be solved again, and what is used up leads to the whole shelf", () => {
  const note = (again: Parameters<typeof SolveAgainNote>[0]["again"]) => <SolveAgainNote loopId={4} again={again} />;
  const { unmount } = shown(note({ kind: "used-up", salts: ["potassium nitrate"] }));
  expect(screen.getByText(/potassium nitrate is used up/u)).toBeTruthy();
  expect(screen.getByRole("link", { name: "Solve again?" }).getAttribute("href")).toBe(
    "/feed/solve?loop=4&salts=shelf",
  );
  unmount();
  const never = shown(note({ kind: "never-solved" }));
  expect(screen.getByRole("link", { name: "Solve it" })).toBeTruthy();
  never.unmount();
  shown(note({ kind: "nearer", worstMiss: 1.24, couldBe: 0.27 }));
  expect(screen.getByText(/could be 27 %, not 124 %/u)).toBeTruthy();
});
