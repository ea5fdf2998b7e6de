import { envelope } from "./envelope";

const shape = { lengthM: 14, widthM: 6, wallM: 2 } as const;

test("flat, gable and round: walls, roof and volume; a half circle and a low arc; a ridge under the walls is flat", () => {
  expect(envelope({ ...shape, roof: "flat", ridgeM: 9 })).toEqual({
    groundM2: 84,
    wallsM2: 80,
    roofM2: 84,
    volumeM3: 168,
  });
  const gable = envelope({ ...shape, roof: "gable", ridgeM: 6 });
  expect(gable).toEqual({ groundM2: 84, wallsM2: 80 + 24, roofM2: 10 * 14, volumeM3: 168 + 12 * 14 });
  const half = envelope({ ...shape, wallM: 0, roof: "round", ridgeM: 3 });
  expect(half.roofM2).toBeCloseTo(Math.PI * 3 * 14, 9);
  expect(half.volumeM3).toBeCloseTo((Math.PI * 9 * 14) / 2, 9);
  const low = envelope({ ...shape, roof: "round", ridgeM: 2.001 });
  expect(low.roofM2).toBeCloseTo(84, 2);
  expect(envelope({ ...shape, wallM: 0, roof: "round", ridgeM: 4 }).volumeM3).toBeGreaterThan(half.volumeM3);
  expect(envelope({ ...shape, roof: "gable", ridgeM: 1 })).toEqual(envelope({ ...shape, roof: "flat", ridgeM: null }));
});
