import { screen, waitFor, within } from "@testing-library/react";
import { dayFromIso } from "@/core/units/day";
import type { StockTankRow } from "@/core/garden/garden";
import { feedOf, LEAFY, loopOf, saltOf } from "../../../tests/component/feedOf";
import { shown, US } from "../../../tests/component/shown";
import { StocksSheet, type StocksSheetProps } from "./StocksSheet";

const take = jest.fn(async () => ({ ok: true, value: undefined }));
jest.mock("@/server/feed/takeAmounts", () => ({
  takeAmounts: (input: unknown) => take(...([input] as unknown as [])),
}));
jest.mock("@/server/feed/actions", () => ({}));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const today = dayFromIso("2027-09-02");
const TANKS = ["A", "B"].map((letter, at) => ({
  ...{ id: at + 1, loopId: 4, letter, volumeL: 50, leftL: 20, readOn: today },
})) as StockTankRow[];
const props = (loop = loopOf(), salts = LEAFY, own: Partial<StocksSheetProps> = {}): StocksSheetProps => ({
  ...{ loops: [{ id: 4, name: "Leaf" }], loop, stockReadings: TANKS, mixes: [], today },
  feed: feedOf(loop, salts, { stocks: TANKS }),
  ...own,
});
const stock = (letter: string) => screen.getByRole("region", { name: `Stock ${letter}` });
const step = (region: HTMLElement, name: string) => within(region).getByText(name).closest("li")!;

test("each stock is told in the order of the hand, with days left; less than the scale weighs comes out of a dilution", async () => {
  const { user } = shown(<StocksSheet {...props()} />);
  expect(
    within(stock("A"))
      .getAllByRole("listitem")
      .map((one) => one.textContent)[0],
  ).toContain("Warm water first35 L");
  // 20 L at 1:100 for 100 L of feed a day.
  expect(within(stock("A")).getByRole("heading").parentElement!.textContent).toContain("20 days left");
  expect(step(stock("B"), "boric acid").textContent).not.toContain("too little for your scale");
  const scale = screen.getByRole("textbox", { name: "Steps of my scale" });
  await user.clear(scale);
  await user.type(scale, "2 g");
  await user.tab();
  expect(step(stock("B"), "boric acid").textContent).toMatch(/weigh .* g into 1 L of water and take \d+ mL/u);
  expect(step(stock("B"), "magnesium sulfate heptahydrate").textContent).not.toContain("too little");
});

test("a stock that does not dissolve says so; put otherwise it does, and that is taken over", async () => {
  const salts = [...LEAFY.filter(({ name }) => name !== "potassium nitrate"), saltOf("potassium nitrate", "A", 3000)];
  const { user } = shown(<StocksSheet {...props(loopOf({ ratioR: 250 }), salts)} />);
  expect(stock("A").textContent).toMatch(/potassium nitrate: 1\d\d % of what dissolves at 8 °C/u);
  const note = screen.getByText(/Put otherwise, these stocks dissolve up to/u).parentElement!;
  expect(note.textContent).toContain("potassium nitrate half in A, half in B");
  await user.click(within(note).getByRole("button", { name: "Put them so" }));
  await waitFor(() => expect(take).toHaveBeenCalled());
  expect(take.mock.calls[0]).toEqual([
    expect.objectContaining({
      recipeId: 7,
      salts: expect.arrayContaining([{ saltId: salts.at(-1)!.id, stock: "A+B", gPer1000L: 3000 }]),
    }),
  ]);
});

test("what drops out together is refused with the reason", () => {
  const salts = LEAFY.map((salt) => ({ ...salt, stock: "A" as const }));
  shown(<StocksSheet {...props(loopOf(), salts)} />);
  expect(within(stock("A")).getByRole("alert").textContent).toContain("drop gypsum: calcium with sulfate");
});

test("by hand: millilitres of A and B for a litre, a fill and a top-up, in spoons where somebody doses with them", async () => {
  const loop = loopOf({ feeding: "stocks" });
  const { user } = shown(<StocksSheet {...props(loop)} />);
  expect(screen.getByText(/Each litre of finished water gets/u).textContent).toContain("10 mL of A, and as much of B");
  const fill = screen.getByRole("region", { name: "Fill" });
  expect(step(fill, "stock A").textContent).toContain("6 L");
  expect(step(fill, "stock B").textContent).toContain("stir first: they never meet undiluted");
  await user.selectOptions(screen.getByRole("combobox", { name: "I dose with" }), "tablespoons");
  const topUp = screen.getByRole("region", { name: "Top-up" });
  await user.clear(within(topUp).getByRole("textbox"));
  await user.type(within(topUp).getByRole("textbox"), "30 L");
  expect(step(topUp, "stock A").textContent).toContain("20 tablespoons");
});

test("dry salts are weighed for the tank; a bottle is poured, and its cautions are those of parts", () => {
  const loop = loopOf({ feeding: "dry" });
  const bottles = ["A", "B"].map((part, at) => ({
    ...{ id: 90 + at, name: `Part ${part}`, percent: {}, solubilityGPerL: null, stock: part as "A" | "B" },
    ...{ form: "liquid" as const, densityKgPerL: 1.2, gPer1000L: 4800, pricePerKg: 0, onHandG: 0 },
  }));
  const feed = feedOf(loop, bottles, { byLabel: true, labelEcMsPerCm: 1.7, ecMsPerCm: 1 });
  shown(<StocksSheet {...props(loop, bottles, { feed })} />);
  const fill = screen.getByRole("region", { name: "Fill" });
  expect(step(fill, "Part A").textContent).toMatch(/\d(\.\d+)? L|\d+ mL/u);
  expect(screen.getByText(/Parts A and B never meet before the water/u)).toBeTruthy();
  expect(screen.queryByText(/My scale weighs/u)).toBeNull();
});

test("without a recipe it says where one is chosen; in a US garden it speaks of gallons", () => {
  const { unmount } = shown(<StocksSheet {...props(loopOf(), LEAFY, { feed: null })} />);
  expect(screen.getByText("No recipe for this loop yet")).toBeTruthy();
  unmount();
  shown(<StocksSheet {...props()} />, US);
  expect(stock("A").textContent).toContain("gal");
  expect(stock("A").textContent).not.toMatch(/\d (?:L|kg|g)\b/u);
});
