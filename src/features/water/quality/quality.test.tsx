import { fireEvent, screen, within } from "@testing-library/react";
import { blendWaters } from "@/core/feed/blendWaters";
import { sourceQualities, type LoopRise } from "@/core/garden/waterQuality";
import type { Source } from "@/core/garden/garden";
import { dayFromIso } from "@/core/units/day";
import { METRIC } from "@/core/units/dimensions";
import { shown } from "../../../../tests/component/shown";
import { aboutFlow } from "../StandFlows";
import { QualitySheet, type QualitySheetProps } from "./QualitySheet";

const source = (id: number, name: string, own: Partial<Source>): Source =>
  ({ id, name, ecMsPerCm: null, ph: null, alkalinityMgCaco3PerL: 0, analysisMgPerL: {}, ...own }) as Source;
const hard = source(1, "Well", { ph: 7.3, alkalinityMgCaco3PerL: 300, analysisMgPerL: { Ca: 120, Na: 40, Cl: 60 } });
const soft = source(2, "Rain", { ph: 6.2, alkalinityMgCaco3PerL: 20, analysisMgPerL: { Cl: 4 } });
const rise = (name: string | null, perDay: number): LoopRise => ({
  source: name === null ? null : { id: name.length, name },
  mgPerL: Array.from({ length: 60 }, (_, day) => perDay * (day + 1)),
});
const sheet = (own: Partial<QualitySheetProps> = {}) => (
  <QualitySheet
    today={dayFromIso("2027-09-02")}
    qualities={sourceQualities({ sources: [hard, soft] })}
    drawn={blendWaters([
      { water: hard, parts: 1 },
      { water: soft, parts: 3 },
    ])}
    loops={[{ id: 1, name: "Leaf" }]}
    loop={{ id: 1, name: "Leaf", fillL: 600 }}
    rises={{ Na: [rise("Well", 10), rise(null, 1)], Cl: [] }}
    {...own}
  />
);

test("waters stand side by side with what they do not tell; a blend of two finds its pH again", () => {
  shown(sheet());
  const row = (name: string) => screen.getByRole("row", { name: new RegExp(name, "u") });
  expect(
    within(row("Rain"))
      .getAllByRole("cell")
      .map((cell) => cell.textContent),
  ).toEqual([...["–", "6.2", "20", "–", "–", "–", "4", "–", "–"]]);
  expect(row("as the plan draws them").textContent).toContain("≥ 10");
  expect(
    screen.getByText(/Rain: Its ions cannot be balanced: calcium, magnesium, sodium and potassium are not told/u),
  ).toBeTruthy();
  // Half and half, as the reference case has it; 6.8 would be the mean.
  const blend = screen.getByRole("heading", { name: "A blend" }).closest("section")!;
  expect(blend.textContent).toContain("not 6.8: pH is not averaged");
  expect(blend.textContent).toContain("7.1");
  fireEvent.change(screen.getByRole("textbox", { name: "Parts of the first water" }), { target: { value: "0" } });
  expect(blend.textContent).not.toContain("7.1");
  fireEvent.change(screen.getByRole("textbox", { name: "Parts of the other water" }), { target: { value: "0" } });
  expect(blend.textContent).toContain("Nothing is mixed");
});

test("the day on which sodium is too much follows what the crops bear; what no source tells is said", async () => {
  const { user } = shown(sheet());
  const days = () =>
    screen
      .getAllByRole("definition")
      .slice(-2)
      .map((one) => one.textContent);
  expect(days()).toEqual(["stays under", "11 Sep 2027"]);
  fireEvent.change(screen.getByRole("textbox", { name: "Bear up to" }), { target: { value: "30" } });
  expect(days()).toEqual(["2 Oct 2027", "5 Sep 2027"]);
  await user.selectOptions(screen.getByRole("combobox", { name: "Salt" }), "chloride");
  expect(screen.getByText(/No source tells its chloride/u)).toBeTruthy();
});

test("a garden whose waters are not analysed is told where to enter it", () => {
  shown(sheet({ qualities: sourceQualities({ sources: [source(3, "Tap", {})] }) }));
  expect(screen.getByText("No water has been analysed yet")).toBeTruthy();
});

test("a flood that the timer cuts short, and a tower whose top starves its bottom, are pointed out", () => {
  const flood = { kind: "flood", floodL: 92, fillMin: 9, drainMin: 4, floodsPerDay: 6, floodDepthM: 0.04 } as const;
  const said = (of: Parameters<typeof aboutFlow>[0]) => aboutFlow(of, METRIC);
  expect(said({ ...flood, verdict: "floods" }).isDoubtful).toBe(false);
  expect(said({ ...flood, verdict: "run-too-short" }).words).toContain("stops before it is full");
  expect(said({ ...flood, verdict: "never-drains" }).isDoubtful).toBe(true);
  expect(said({ kind: "towers", bottomShare: 0.4 }).words).toContain("the top starves the bottom");
  expect(said({ kind: "towers", bottomShare: 0.8 }).isDoubtful).toBe(false);
  const band = { leastLph: 60, mostLph: 120, verdict: "within" } as const;
  expect(said({ kind: "film", band, runM: 18, mostRunM: 15 }).words).toContain("oxygen and nutrients run low");
});
