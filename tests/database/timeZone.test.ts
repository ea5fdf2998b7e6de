import { dayFromIso } from "../../src/core/units/day";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

// Fourteen hours ahead of UTC: 11:30 there is 01:30 of the next day here.
const { rows } = demoGarden(async () => {
  await rows("update garden set time_zone = 'Pacific/Kiritimati'");
  await rows("delete from reading");
  await rows(
    "insert into reading (garden_id, loop_id, at, origin, ec_ms_per_cm, level_l) values (1, 1, '2027-08-31T11:30Z', 'hand', 1.4, 560), (1, 1, '2027-09-01T09:00Z', 'hand', 1.6, 550)",
  );
  await signedInAs("ines");
});

test("readings fall on the days of the garden's clock, in the chart and on the round", async () => {
  const { seasonWithFacts } = await import("../../src/server/round/today");
  const { readingView } = await import("../../src/server/round/readingView");
  const season = await seasonWithFacts();
  const view = await readingView(season, 1, undefined);
  expect(view!.days.map(({ day, ecMsPerCm }) => [day, ecMsPerCm])).toEqual([[dayFromIso("2027-09-01"), 1.5]]);
  expect(season.facts.readings.find(({ loopId }) => loopId === 1)).toMatchObject({ day: dayFromIso("2027-09-01") });
});

test("the log as CSV gives hours by the garden's clock, beside the instant", async () => {
  await rows(
    "insert into log_entry (garden_id, person_id, day, at, kind, what, note) values (1, 1, '2027-09-02', '2027-09-01T11:30Z', 'note', $1, '')",
    [JSON.stringify({ kind: "note", title: "Early walk", place: "" })],
  );
  const { GET } = await import("../../src/app/(garden)/round/log.csv/route");
  const csv = await (await GET(new Request("http://here/round/log.csv?from=2027-09-02&to=2027-09-02"))).text();
  expect(csv.split("\r\n").find((line) => line.includes("Early walk"))).toMatch(
    /2027-09-01T11:30:00.000Z,2027-09-02,01:30,note/u,
  );
});
