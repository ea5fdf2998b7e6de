import { screen } from "@testing-library/react";
import type { Loop, StockTankRow } from "@/core/garden/garden";
import { WhoProvider } from "@/features/frame/who";
import { shown } from "../../../../tests/component/shown";
import { AcidSheet, type AcidSheetProps } from "./AcidSheet";

const save = jest.fn(async () => ({ ok: true, value: 2 }));
jest.mock("@/server/water/actions", () => ({ saveLoop: (input: unknown) => save(...([input] as unknown as [])) }));
jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const loop = {
  ...{ id: 2, name: "Drip", kind: "run-to-waste", feeding: "injector", ratioR: 100, ratioConvention: "in" },
  ...{ normalFillL: 800, acid: "nitric", acidPercent: null, acidDensityKgPerL: null },
} as unknown as Loop;
const sheet = (own: Partial<AcidSheetProps> = {}) => (
  <AcidSheet
    loops={[{ id: 2, name: "Drip" }]}
    loop={loop}
    water={{ name: "Salty well", alkalinityMgCaco3PerL: 150, ph: 7.6, tellsPh: true }}
    targetPh={6}
    room={{ "NO3-N": 100, P: 30, S: 40 }}
    stocks={[{ id: 1, loopId: 2, letter: "B", volumeL: 100, leftL: 20, readOn: 1 } as StockTankRow]}
    response={null}
    buffers={{ phosphorusMmolPerL: 1.5, ammoniumMmolPerL: 1 }}
    {...own}
  />
);
const fill = async (user: ReturnType<typeof shown>["user"], name: string, text: string) => {
  const field = screen.getByRole("textbox", { name });
  await user.clear(field);
  await user.type(field, text);
  await user.tab();
};

test("acid in a round amount, in the tank and in a stock, with what it brings; less is taken where alkalinity may stay", async () => {
  const { user } = shown(sheet());
  const dose = screen.getByRole("region", { name: "Dose" });
  // 2.997 less 1 meq/L left, at 7.442 eq/L.
  expect(dose.textContent).toContain("for 1000 L268 mL");
  expect(dose.textContent).toContain("into a full stock B, 100 L2.68 L");
  expect(screen.getByText(/It leaves 1 meq\/L of alkalinity/u).textContent).toContain("pH 6 at the emitter");
  expect(screen.getByText(/mg\/L/u, { selector: "b" }).textContent).toBe("28 mg/L");
  await user.selectOptions(screen.getByRole("combobox", { name: "Acid" }), "citric");
  expect(screen.getByText(/microbes eat it within days/u)).toBeTruthy();
});

test("what cannot be is refused, what is far too much is asked about, strong acid is for keepers", async () => {
  const { user } = shown(
    <WhoProvider who={{ personId: 2, role: "grower", timeZone: "UTC", whatIf: null }}>{sheet()}</WhoProvider>,
  );
  await fill(user, "pH", "10.6");
  await fill(user, "Alkalinity, as CaCO₃", "5");
  expect(screen.getByRole("alert").textContent).toContain("cannot have pH 10.6");
  await fill(user, "pH", "8");
  await fill(user, "Alkalinity, as CaCO₃", "900");
  expect(screen.queryByRole("region", { name: "Dose" })).toBeNull();
  await user.click(screen.getByRole("button", { name: "I have read it: show the dose" }));
  expect(screen.getByRole("region", { name: "Dose" })).toBeTruthy();
  await fill(user, "Strength of the acid", "60");
  expect(screen.getByText(/Nitric acid 60 % is for a keeper/u)).toBeTruthy();
  await fill(user, "Strength of the acid", "140");
  expect(screen.getByText(/Strength of the acid is 140; it must be from 1 to 100/u)).toBeTruthy();
});

test("acid that goes into all feed is counted in the recipe", async () => {
  const { user } = shown(sheet());
  await user.click(screen.getByRole("button", { name: "It goes into all feed: count it" }));
  expect(save.mock.calls.at(-1)).toEqual([expect.objectContaining({ id: 2, acidInFeed: true })]);
});

test("measured in the tank, phosphate counts too, and no alkalinity is left for the medium", async () => {
  const { user } = shown(sheet());
  await user.selectOptions(screen.getByRole("combobox", { name: "Measured in" }), "tank");
  expect(screen.getByText(/The kit counts the phosphate of the feed too/u)).toBeTruthy();
  expect(screen.queryByText(/It leaves 1 meq\/L of alkalinity/u)).toBeNull();
  const dose = () => screen.getByRole("region", { name: "Dose" }).textContent;
  const warm = dose();
  await fill(user, "Temperature", "5");
  expect(dose()).not.toBe(warm);
});
