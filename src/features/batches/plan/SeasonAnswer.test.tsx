import { screen, within } from "@testing-library/react";
import type { SeasonDraft } from "@/server/batches/seasonDraft";
import { dayFromIso } from "@/core/units/day";
import { shown } from "../../../../tests/component/shown";
import { SeasonAnswer } from "./SeasonAnswer";

jest.mock("@/server/batches/season", () => ({ acceptSeason: jest.fn() }));
jest.mock("@/server/garden/whatIf/actions", () => ({ removeWhatIf: jest.fn() }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const day = dayFromIso("2027-09-02");
const later = { kind: "later", orderId: 4, name: "Café", from: dayFromIso("2027-10-16") } as const;
const draft: SeasonDraft = {
  day,
  setId: null,
  view: null,
  conflicts: 0,
  answer: {
    ...{ value: 1960, bound: 2000, isUnchanged: true, lostApart: 12, leftOut: 0 },
    ...{ unpriced: ["Viola flowers"], hopeless: [], idleAreas: ["Pond"] },
    reasons: {
      short: [
        {
          ...{ orderIds: [4], customers: ["Café"], variety: "Radish shoots", unit: "half trays" },
          ...{ days: [dayFromIso("2027-09-04")], missing: 4, wanted: 6, why: { kind: "no-sowing" } },
          remedies: [{ remedy: later, worth: 31, gains: null }],
        },
      ],
      moreShort: 2,
      easing: [],
    },
  },
};

test("it says how near the best it is, what is lost for lack of sites together, and what would help an order that goes short", async () => {
  const onTry = jest.fn();
  const { user } = shown(<SeasonAnswer draft={draft} onTry={onTry} />);
  const answer = screen.getByRole("region", { name: "The planned season" }).textContent;
  expect(answer).toMatch(/at most .*40.* from the best there can be \(2 %\)/);
  expect(answer).toMatch(/not together on lines: that costs .*12/);
  expect(answer).toContain("No price is told of Viola flowers");
  expect(answer).toContain("No crop leads to Pond");
  const short = within(screen.getByRole("region", { name: "Orders that go short" }));
  short.getByText("4 of 6 half trays missing");
  short.getByText("No sowing from now on is ready by then.");
  short.getByText("and 2 more orders");
  await user.click(short.getByRole("button", { name: "Plan it with this" }));
  expect(onTry).toHaveBeenCalledWith(later);
});

test("while something is at work no remedy is tried", () => {
  shown(<SeasonAnswer draft={draft} onTry={null} />);
  expect(screen.getByRole<HTMLButtonElement>("button", { name: "Plan it with this" }).disabled).toBe(true);
});
