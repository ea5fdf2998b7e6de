import { screen } from "@testing-library/react";
import type { DayAhead } from "@/core/garden/houseCrops";
import type { RackView } from "@/core/garden/rackView";
import type { Variety } from "@/core/garden/garden";
import { dayFromIso } from "@/core/units/day";
import { METRIC } from "@/core/units/dimensions";
import { shown } from "../../../tests/component/shown";
import { WeekAhead } from "./climate/WeekAhead";
import { RackPicture } from "./racks/RackPicture";
import { SeedCard } from "./SeedCard";
import { SowingYear } from "./SowingYear";
import { weatherAlertWords } from "./words";

const monday = dayFromIso("2027-11-01");

test("warnings of the coming week are told once, with the days that they are for", () => {
  const day = (ahead: number, more: Partial<DayAhead>): DayAhead => ({
    ...{ day: monday + ahead, highestC: 12.4, lowestC: 6, isFrost: false, chills: [], tooHot: [] },
    ...more,
  });
  const days = [
    day(0, { isFrost: true, lowestC: 0 }),
    day(1, { isFrost: true, lowestC: 0 }),
    day(2, { chills: ["Basil", "Okra"] }),
    day(4, { isFrost: true, lowestC: 1 }),
  ];
  shown(<WeekAhead week={{ days, warmerByC: null }} houseName="Tunnel" />);
  const week = screen.getByRole("region", { name: "The coming week" });
  expect(week.textContent).toContain("Mon, Tue, Fri: frost");
  expect(week.textContent).toContain("Wed 3 Nov: chill harms Basil, Okra");
  expect(week.textContent).toContain("bring in measured days");
  expect(week.textContent).toContain("No forecast");
});

test("a tray tells what stands in it and how far it is; what is in the dark and what is free says so", () => {
  const run = {
    batchId: 1,
    variety: "Basil",
    mark: { tone: 0, hatch: "plain" as const, initials: "Ba" },
    cells: 42,
    dayOf: 3,
    ofDays: 6,
    isDark: true,
  };
  const rack = {
    shelves: [
      [
        { number: 1, cells: 84, runs: [run, { ...run, batchId: 2, variety: "Mizuna", isDark: false }] },
        { number: 2, cells: 84, runs: [] },
        { number: 3, cells: 1, runs: [{ ...run, cells: 1, dayOf: 9, isDark: false }] },
      ],
    ],
  } as unknown as RackView;
  shown(<RackPicture rack={rack} />);
  const names = screen.getAllByRole("listitem").map((tray) => tray.getAttribute("aria-label"));
  expect(names).toEqual([
    "tray 1: Basil, 42 cells, day 3 of 6, in the dark; Mizuna, 42 cells, day 3 of 6",
    "tray 2: free",
    "tray 3: Basil, day 9 of 6",
  ]);
  expect(screen.getAllByRole("listitem")[2]!.textContent).toContain("ready");
});

test("the year of a crop says how long it takes, and on how many days a sowing is never ready", () => {
  const stage = (name: string, days: number) => ({ name, daysByMonth: new Array<number>(12).fill(days) });
  const today = monday;
  const { unmount } = shown(
    <SowingYear name="Lettuce" stages={[stage("up", 5), stage("grow", 30)]} beside={[]} today={today} />,
  );
  expect(screen.getByRole("img", { name: "Lettuce: ready 35 days to 35 days after sowing" }).textContent).toContain(
    "sown today: 35 days",
  );
  unmount();
  const still = { ...stage("grow", 30), progressByDay: new Array<number>(366).fill(0) };
  shown(<SowingYear name="Lettuce" stages={[still]} beside={[]} today={today} />);
  expect(screen.getByRole("img", { name: "Lettuce is never ready" }).textContent).toContain("never ready");
});

test("the seed of a crop tells what was counted, how fast it came, and which lot should be tested", () => {
  const variety = {
    ...{ seedsPerCell: 3, thinTo: 1, soakH: 0, depthM: null, pelleted: false, seedsPerG: 100, germinatesIn: "dark" },
    ...{ upWithinDays: 10, lots: [], learns: true },
  } as unknown as Variety;
  const counted = { estimate: 0.5, low: 0.4, high: 0.6, sowings: 1, of: 100, up: 50 };
  shown(
    <SeedCard
      variety={variety}
      seed={{ told: 0.9, toldBy: "profile", counted, used: 0.63 }}
      warnings={[{ kind: "old", lot: "C 7", years: 4 }]}
      counts={[
        {
          ...{ batchId: 1, sownOn: monday },
          counts: [
            { day: monday + 4, of: 100, up: 20 },
            { day: monday + 8, of: 100, up: 50 },
          ],
        },
      ]}
    />,
  );
  const card = screen.getByRole("region", { name: "Its seed" }).textContent!;
  expect(card).toContain("63 in 100");
  expect(card).toContain("one in 3 does not");
  expect(card).toContain("50 of 100 counted on 1 sowing; of many such 40 to 60 in 100");
  // 25 of 50 lie between 20 on the fourth day and 50 on the eighth.
  expect(card).toContain("half of those were there after 4.7 days");
  expect(card).toContain("Lot C 7 came 4 years ago. Test ten or twenty seeds");
  expect(card).toContain("3 seeds, thin to 1");
});

test("frost, chill and heat are told with what to do", () => {
  const units = METRIC;
  const words = (kind: "frost" | "chill" | "heat", crops: string[] = []) =>
    weatherAlertWords({ house: "Tunnel", kind, day: monday, airC: 1.6, crops }, units);
  expect(words("frost")).toMatch(/^Frost in the Tunnel: Mon 1 Nov about 2.°C\. Cover, heat/u);
  expect(words("heat", ["A", "B", "C", "D"])).toContain("too hot for A, B, C and 1 more. Shade");
});
