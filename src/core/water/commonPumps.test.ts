import { PUMP } from "../garden/entities/pump";
import { COMMON_PUMPS } from "./commonPumps";

test.each(COMMON_PUMPS.map((pump) => [pump.id, pump] as const))("%s is what the form of a pump takes", (_, pump) => {
  for (const name of ["flowAtNoLiftLph", "greatestLiftM"] as const) {
    const field = PUMP.kinds.label!.find((one) => one.name === name);
    if (field?.type !== "number") throw new TypeError(`${name} is no number of a pump`);
    expect(pump[name]).toBeGreaterThanOrEqual(field.least);
    expect(pump[name]).toBeLessThanOrEqual(field.greatest);
  }
});

test("each is offered once, the small before the large", () => {
  expect(new Set(COMMON_PUMPS.map(({ id }) => id)).size).toBe(COMMON_PUMPS.length);
  for (const system of ["metric", "us"])
    for (const kind of new Set(COMMON_PUMPS.map((pump) => pump.kind))) {
      const flows = COMMON_PUMPS.filter((pump) => pump.system === system && pump.kind === kind).map(
        ({ flowAtNoLiftLph }) => flowAtNoLiftLph,
      );
      expect(flows).toEqual([...flows].sort((a, b) => a - b));
    }
});
