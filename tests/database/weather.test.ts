import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";
import { said } from "./said";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = demoGarden(() => signedInAs("ines"));
const kept = () =>
  rows("select day::text, highest_c as warm, rain_mm as rain from weather_day where garden_id = 1 order by day");

test("a file of daily weather is taken whole or not at all; a day that is there already is replaced", async () => {
  const { importWeather } = await import("../../src/server/place/climateActions");
  const bring = async (text: string) => said(await importWeather({ text }));
  expect(await bring("date,tmax,tmin\n2026-03-01,14,6\n2026-03-02,warm,7")).toMatchObject({
    ok: false,
    message: "Line 3: the warmest of the day is “warm”, which is no number.",
  });
  expect(await kept()).toEqual([]);
  expect(await bring("date,tmax,tmin,rain\n2026-03-01,14,6,0\n2026-03-02,15,7,3.5")).toMatchObject({
    ok: true,
    value: 2,
  });
  await bring("date;tmax;tmin\n2026-03-02;16,5;7");
  expect(await kept()).toEqual([
    { day: "2026-03-01", warm: 14, rain: 0 },
    { day: "2026-03-02", warm: 16.5, rain: null },
  ]);
});
