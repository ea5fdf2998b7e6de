import { fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { dayFromIso, isoFromDay, type Day } from "@/core/units/day";
import { DayInput } from "./DayInput";

function Form({ keeps = false }: { readonly keeps?: boolean }) {
  const [day, setDay] = useState<Day | null>(dayFromIso("2027-09-02"));
  return (
    <>
      <DayInput aria-label="Day" value={day} onValue={(next) => (next !== null || !keeps) && setDay(next)} />
      <output>{day === null ? "none" : isoFromDay(day)}</output>
    </>
  );
}
const input = () => screen.getByLabelText<HTMLInputElement>("Day");
const told = () => screen.getByRole("status").textContent;

test("a year that is typed digit by digit, or is none, stays in the field and gives no day", () => {
  render(<Form />);
  fireEvent.change(input(), { target: { value: "0002-09-02" } });
  expect([input().value, told()]).toEqual(["0002-09-02", "none"]);
  fireEvent.change(input(), { target: { value: "2028-09-02" } });
  expect([input().value, told()]).toEqual(["2028-09-02", "2028-09-02"]);
});

test("where the day before is kept, it comes back when the field is left", () => {
  render(<Form keeps />);
  fireEvent.change(input(), { target: { value: "9999-01-01" } });
  expect([input().value, told()]).toEqual(["9999-01-01", "2027-09-02"]);
  fireEvent.blur(input());
  expect(input().value).toBe("2027-09-02");
});
