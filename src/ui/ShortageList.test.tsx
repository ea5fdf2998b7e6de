import { render, screen } from "@testing-library/react";
import { ShortageList, type ShortageListProps } from "./ShortageList";

describe("the list of what runs short", () => {
  const list = (counted: Partial<ShortageListProps>) =>
    render(<ShortageList shortages={[]} isPlanned loopsWithoutSalts={[]} byHand={false} salted drinks {...counted} />);

  it("says that nothing is planned rather than that all lasts", () => {
    list({ isPlanned: false });
    expect(screen.getByText(/nothing is planned ahead/i)).toBeTruthy();
    expect(screen.queryByText(/last for the whole plan/)).toBeNull();
  });

  it.each<[string, Partial<ShortageListProps>, string, RegExp | null]>([
    ["all three", {}, "Space, water and salts last for the whole plan.", null],
    [
      "a loop without salts",
      { loopsWithoutSalts: ["Lettuce"] },
      "Space and water last for the whole plan.",
      /Salts for the Lettuce loop are not counted/,
    ],
    [
      "some by hand",
      { byHand: true },
      "Space, water and salts last for the whole plan.",
      /by hand is counted as water/,
    ],
    ["all by hand", { byHand: true, salted: false }, "Space and water last for the whole plan.", /by hand is counted/],
    [
      "plants that drink nothing",
      { drinks: false, salted: false },
      "Space lasts for the whole plan.",
      /Water and salts are not counted/,
    ],
  ])("says what lasts and what is not counted: %s", (_, counted, lasts, not) => {
    list(counted);
    expect(screen.getByText(lasts)).toBeTruthy();
    if (not) expect(screen.getByText(not)).toBeTruthy();
  });
});
