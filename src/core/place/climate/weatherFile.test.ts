import { dayFromIso } from "../../units/day";
import { readWeather } from "./weatherFile";

const GOOD = `Date,Tmax (°C),Tmin (°C),Rain (mm)
2027-01-01,14.2,6.1,0
2027-01-02,13.8,7,12.4
2027-01-03,15,5.5,`;

test("days are read with what was measured, whatever separates the columns, in the order of the days", () => {
  const { days, problems } = readWeather(GOOD);
  expect(problems).toEqual([]);
  expect(days).toHaveLength(3);
  expect(days[1]).toMatchObject({ day: dayFromIso("2027-01-02"), highestC: 13.8, lowestC: 7, rainMm: 12.4 });
  expect(days[2]).toMatchObject({ rainMm: null, humidityPercent: null });
  const semicolons = "rain;day;tmin;tmax\r\n1,5;2027-03-02;4,5;12,25\r\n0;2027-03-01;3;11\r\n";
  expect(readWeather(semicolons)).toMatchObject({
    problems: [],
    days: [{ highestC: 11 }, { highestC: 12.25, lowestC: 4.5, rainMm: 1.5 }],
  });
});

test("holes, days twice, wrong dates and figures are told by their lines, and the lines are kept apart", () => {
  const { days, problems } = readWeather(`${GOOD}
2027-01-03,15,5.5,1
2027-01-07,warm,5,0
2027-01-08,3,9,0
2027-02-30,12,4,0
2027-01-09,12,4,-3`);
  expect(problems).toEqual([
    { kind: "twice", line: 5, day: dayFromIso("2027-01-03"), firstLine: 4 },
    { kind: "not-a-number", line: 6, column: "highestC", text: "warm" },
    { kind: "hole", line: 6, from: dayFromIso("2027-01-04"), to: dayFromIso("2027-01-06") },
    { kind: "lowest-over-highest", line: 7, highestC: 3, lowestC: 9 },
    { kind: "not-a-date", line: 8, text: "2027-02-30" },
    { kind: "outside-range", line: 9, column: "rainMm", value: -3, least: 0, greatest: 1000 },
  ]);
  expect(days).toHaveLength(4);
  expect(readWeather("date,tmax,tmin\n2027-01-01,9,1\n2027-01-04,9,1").problems).toEqual([
    { kind: "hole", line: 3, from: dayFromIso("2027-01-02"), to: dayFromIso("2027-01-03") },
  ]);
});

test("a file without its columns, in Fahrenheit or empty says so once", () => {
  expect(readWeather("")).toEqual({ days: [], problems: [{ kind: "empty" }] });
  expect(readWeather("day|high|low\n2027-01-01|9|1").problems.map(({ kind }) => kind)).toEqual(["no-column"]);
  expect(readWeather("date,tmin,tmax\n2027-01-01,9,1\n2027-01-02,8,1\n2027-01-03,1,8").problems).toEqual([
    { kind: "swapped", lines: 2 },
  ]);
  const fahrenheit = Array.from({ length: 9 }, (_, at) => `2027-07-0${at + 1},88,61`).join("\n");
  expect(readWeather(`date,tmax,tmin\n${fahrenheit}`).problems).toEqual([{ kind: "fahrenheit", meanHighest: 88 }]);
});
