import { METRIC } from "./dimensions";
import { inUnits, told } from "./told";

test("a sentence of core is written out in the garden's units, wherever in the data it stands", () => {
  const data = { says: [`The tank is ${told(52, "volume")} low.`], lossM: 1.25, none: null, name: "⟦" };
  expect(inUnits(data, METRIC)).toEqual({ says: ["The tank is 52 L low."], lossM: 1.25, none: null, name: "⟦" });
  const american = { system: "us", ec: "CF", temperature: "°F", currency: "$" } as const;
  expect(
    inUnits(`${told(0.1, "length")} less lift, ${told(1.5, "ec")}, over ${told(25, "temperature")}`, american),
  ).toBe("0.328 ft less lift, 15 CF, over 77 °F");
});
