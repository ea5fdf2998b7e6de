import { screen, within } from "@testing-library/react";
import { feedOf, LEAFY, loopOf } from "../../../tests/component/feedOf";
import { shown } from "../../../tests/component/shown";
import { RecipeSheet, type RecipeSheetProps } from "./RecipeSheet";

jest.mock("@/server/feed/actions", () => ({}));
jest.mock("@/server/feed/library", () => ({}));
jest.mock("@/server/feed/keepLabelFeed", () => ({}));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const props = (own: Partial<RecipeSheetProps> = {}): RecipeSheetProps => ({
  ...{ loops: [{ id: 4, name: "Leaf", kind: "recirculating" as const }], loopId: 4, recipes: [], salts: [] },
  ...{ waterName: "Rain", again: null, feed: feedOf(loopOf()) },
  ...own,
});

test("a feed whose pH band goes past what stays clear, or past what holds its iron, is warned of", () => {
  const edta = LEAFY.map((salt) => (salt.chelate ? { ...salt, name: "Fe-EDTA 13 %" } : salt));
  shown(<RecipeSheet {...props({ feed: feedOf(loopOf(), edta, { ecMsPerCm: 2.6, phHigh: 7.5 }) })} />);
  const clear = screen.getByRole("region", { name: "Stays clear" });
  const warnings = within(clear).getAllByRole("alert");
  expect(warnings[0]!.textContent).toMatch(/The pH band goes up to 7\.5, but over 6\.\d calcium phosphate drops out/u);
  expect(warnings[1]!.textContent).toContain("Fe-EDTA 13 % holds its iron up to pH 6.5 only");
});

test("within its band it is told up to which pH, and how strong it may be mixed in one tank", () => {
  shown(<RecipeSheet {...props()} />);
  const clear = screen.getByRole("region", { name: "Stays clear" });
  expect(within(clear).queryByRole("alert")).toBeNull();
  expect(clear.textContent).toMatch(/Over about pH \d(\.\d)? calcium phosphate drops out/u);
  expect(clear.textContent).toMatch(/stays clear up to \d(\.\d)? times this strength/u);
});

test("a feed by labels shows its share of the label and what is in it; one that tells no EC asks for it", () => {
  const loop = loopOf({ feeding: "dry" });
  const bag = { ...LEAFY[1]!, name: "Bag", gPer1000L: 1000 };
  const told = feedOf(loop, [bag], { byLabel: true, ecMsPerCm: 0.8 });
  const { unmount } = shown(<RecipeSheet {...props({ feed: told })} />);
  expect(screen.getByText(/\d\d % of the label/u)).toBeTruthy();
  const content = screen.getByRole("region", { name: "What is in it" });
  expect(within(content).getByRole("row", { name: /^K/u }).textContent).toMatch(/\d+ mg\/L/u);
  expect(screen.getByRole("img", { name: /^Ca: 20 mg\/L from Rain/u })).toBeTruthy();
  unmount();
  shown(<RecipeSheet {...props({ feed: feedOf(loop, [{ ...bag, percent: {} }], { byLabel: true }) })} />);
  expect(screen.getByRole("alert").textContent).toContain("The labels do not tell an EC");
});

test("what the meter has taught of fresh feed is told beside the strength", () => {
  const learnedEc = { factor: 1.08, least: 1.05, greatest: 1.1, pairs: 4 };
  shown(<RecipeSheet {...props({ feed: { ...feedOf(loopOf()), learnedEc } })} />);
  expect(screen.getByText(/The last 4 fresh feeds of this loop read 1\.08 times/u)).toBeTruthy();
});

test("a garden without a loop or a recipe is told what to do first", async () => {
  const { user } = shown(<RecipeSheet {...props({ loops: [], loopId: null, feed: null })} />);
  expect(screen.getByText("No loop yet")).toBeTruthy();
  await user.click(screen.getByRole("button", { name: "I feed by the label of what I buy" }));
  expect(await screen.findByRole("dialog", { name: "A feed by the label" })).toBeTruthy();
});
