import { screen } from "@testing-library/react";
import { FormProvider, useForm, useWatch } from "react-hook-form";
import { shown } from "../../../tests/component/shown";
import { DaysToReady } from "./DaysToReady";

const AREAS = [
  { id: 1, name: "Rack", position: 0, cleaningDays: 0, typed: {} },
  { id: 2, name: "Bank", position: 1, cleaningDays: 0, typed: {} },
];

function Form() {
  const stages = [
    { growingAreaId: 1, daysByMonth: Array<number>(12).fill(5) },
    { growingAreaId: 2, daysByMonth: Array<number>(12).fill(44) },
  ];
  const form = useForm({ defaultValues: { stages } });
  const now = useWatch({ control: form.control, name: "stages" });
  return (
    <FormProvider {...form}>
      <DaysToReady growingAreas={AREAS} />
      <output>{JSON.stringify(now.map(({ daysByMonth }) => [daysByMonth[0], daysByMonth[11]]))}</output>
    </FormProvider>
  );
}

test("days to ready are shared out over the stages; what cannot be is told, and is not saved as what stood before", async () => {
  const { user } = shown(<Form />);
  const days = screen.getByRole<HTMLInputElement>("textbox", { name: "Days to ready" });
  expect(days.value).toBe("49");
  await user.clear(days);
  await user.type(days, "30");
  expect(screen.getByRole("status").textContent).toBe("[[5,5],[25,25]]");
  await user.clear(days);
  await user.type(days, "900");
  expect(screen.getByRole("alert").textContent).toContain("from 1 to 400");
  expect(screen.getByRole("status").textContent).toBe("[[5,5],[null,null]]");
});
