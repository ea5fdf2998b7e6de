import { screen } from "@testing-library/react";
import { useState } from "react";
import { METRIC } from "@/core/units/dimensions";
import { shown, US } from "../../tests/component/shown";
import { QuantityInput, quantityProblem, type QuantityValue } from "./QuantityInput";

const given = jest.fn<void, [QuantityValue]>();
const value = () => given.mock.lastCall![0];
function Field({ initial }: { initial: QuantityValue }) {
  const [now, set] = useState<QuantityValue>(initial);
  return (
    <QuantityInput
      aria-label="Length"
      dimension="length"
      value={now}
      onValue={(next) => {
        given(next);
        set(next);
      }}
    />
  );
}
const field = () => screen.getByRole<HTMLInputElement>("textbox", { name: "Length" });

test("a quantity may be typed in another unit; left, it stands in the garden's", async () => {
  const { user } = shown(<Field initial={null} />);
  expect(field().placeholder).toBe("in m");
  await user.type(field(), "39 ft 4");
  expect(value()).toBeCloseTo(11.9888, 5);
  expect(field().value).toBe("39 ft 4");
  await user.tab();
  expect(field().value).toBe("11.9888 m");
});

test("in a garden in feet the same field shows and takes feet", async () => {
  const { user } = shown(<Field initial={3.048} />, US);
  expect(field().value).toBe("10 ft");
  await user.clear(field());
  await user.type(field(), "20");
  expect(value()).toBeCloseTo(6.096, 9);
});

test("what cannot be read stays as typed, and says so; nothing is nothing", async () => {
  const { user } = shown(<Field initial={2} />);
  await user.clear(field());
  expect(value()).toBeNull();
  await user.type(field(), "about two");
  await user.tab();
  expect([value(), field().value]).toEqual(["about two", "about two"]);
  expect(quantityProblem(value(), "Length", "length", METRIC)).toContain('"about two"');
  expect(quantityProblem(null, "Length", "length", METRIC)).toBe("Length is missing");
  expect(quantityProblem(2, "Length", "length", METRIC)).toBeUndefined();
});
