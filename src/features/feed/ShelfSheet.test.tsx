import { screen, within } from "@testing-library/react";
import type { SaltRow } from "@/core/garden/garden";
import { dayFromIso } from "@/core/units/day";
import { shown } from "../../../tests/component/shown";
import { ShelfSheet } from "./ShelfSheet";

jest.mock("@/server/feed/actions", () => ({}));
jest.mock("@/server/feed/library", () => ({ addLibrarySalt: jest.fn() }));
jest.mock("@/server/feed/importSalts", () => ({}));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const today = dayFromIso("2027-09-02");
const lot = (name: string, openedOn: number | null) => ({
  ...{ id: 1, saltId: 1, name, receivedOn: today - 40, openedOn, usedUpOn: null },
});
const salts = [
  {
    ...{ id: 1, name: "potassium nitrate", percent: { "NO3-N": 13.85, K: 38.67 }, onHandG: 2400, caution: "Oxidiser." },
    lots: [lot("KN 2", null), lot("KN 1", today - 3)],
  },
  { ...{ id: 2, name: "Part A", percent: {}, onHandG: 2400, form: "liquid", densityKgPerL: 1.2 }, lots: [] },
  { ...{ id: 3, name: "boric acid", percent: { B: 17.48 }, onHandG: 500, caution: "" }, lots: [] },
] as unknown as SaltRow[];
const uses = [
  { saltId: 1, wantedG: 3000, availableG: 2400, firstShort: { day: today + 20, grams: 600, orderBy: today - 1 } },
  { saltId: 2, wantedG: 600, availableG: 2400, firstShort: null },
];
const row = (name: string) => screen.getByRole("cell", { name: new RegExp(`^${name}`, "u") }).closest("tr")!;

test("what is there, what the plan takes, when it is empty, and by when to order; the open lot is the one in use", () => {
  shown(<ShelfSheet salts={salts} uses={uses} today={today} />);
  const nitrate = row("potassium nitrate");
  expect(nitrate.textContent).toContain("NO3-N 13.85, K 38.67 %");
  expect(nitrate.textContent).toMatch(/2\.4 kg.*3 kg.*from 22 Sep.*now/u);
  expect(nitrate.textContent).toContain("lot KN 1, opened");
  expect(within(nitrate).getByText("Oxidiser.")).toBeTruthy();
  expect(row("boric acid").textContent).toMatch(/500 g–/u);
});

test("a bottle is told by its litres, and that its content is not known", () => {
  shown(<ShelfSheet salts={salts} uses={uses} today={today} />);
  expect(row("Part A").textContent).toMatch(/content not told.*2 L.*500 mL.*lasts/u);
});

test("the library tells each salt's caution before it is taken", async () => {
  const { user } = shown(<ShelfSheet salts={salts} uses={uses} today={today} />);
  await user.click(screen.getByRole("button", { name: "A salt from the library" }));
  const drawer = await screen.findByRole("dialog", { name: "Salts of the library" });
  expect(within(drawer).getAllByText(/Never near chlorine cleaner/u).length).toBeGreaterThan(3);
  expect(within(drawer).getByText(/potassium silicate/u)).toBeTruthy();
});
