import { placeOfZone, placesLike } from "./places";

test("a place is found by the beginning of its name, whatever its accents, the largest first", () => {
  expect(placesLike("málaga")[0]).toEqual({
    label: "Malaga, Spain",
    latitudeDeg: 36.7,
    timeZone: "Europe/Madrid",
    unitSystem: "metric",
    currency: "€",
  });
  expect(placesLike("Porto")[0]).toMatchObject({ label: "Porto, Portugal", latitudeDeg: 41.2 });
  expect(placesLike("portl")[0]).toMatchObject({ unitSystem: "us", currency: "$", timeZone: "America/Los_Angeles" });
  expect(placesLike("Portland, maine")[0]!.label).toBe("Portland, Maine, United States of America");
  expect(placesLike("montevid")[0]!.latitudeDeg).toBeLessThan(0);
  expect(placesLike("s").length).toBe(8);
  expect([placesLike(""), placesLike("no such place")]).toEqual([[], []]);
});

test("a browser's time zone gives a place to begin with", () => {
  expect(placeOfZone("Europe/Lisbon")).toMatchObject({ latitudeDeg: 38.7, unitSystem: "metric" });
  expect(placeOfZone("Mars/Olympus")).toBeNull();
});
