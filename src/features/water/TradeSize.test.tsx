import { screen } from "@testing-library/react";
import { FormProvider, useForm, useWatch } from "react-hook-form";
import { shown, US } from "../../../tests/component/shown";
import { TradeSize } from "./TradeSize";

function Form({ boreMm }: { boreMm: number }) {
  const form = useForm({ defaultValues: { pump: { boreMm } } });
  return (
    <FormProvider {...form}>
      <TradeSize bore={<p>its bore</p>} />
      <output>{useWatch({ control: form.control, name: "pump.boreMm" })}</output>
    </FormProvider>
  );
}
const size = () => screen.getByRole<HTMLSelectElement>("combobox", { name: "Pipe, as it is sold" });

test("the size a pipe is sold as says its bore; a bore of no size is one that was measured", async () => {
  const { user } = shown(<Form boreMm={33.2} />);
  expect(size().selectedOptions[0]!.text).toBe("another: measure its bore");
  expect(screen.queryByText("its bore")).not.toBeNull();
  await user.selectOptions(size(), "32 mm pressure pipe");
  expect(screen.getByRole("status").textContent).toBe("26");
  expect(screen.queryByText("its bore")).toBeNull();
  expect(screen.queryByRole("option", { name: "1 in schedule 40" })).toBeNull();
});

test("a garden in inches is offered the sizes sold there", () => {
  shown(<Form boreMm={26.64} />, US);
  expect(size().selectedOptions[0]!.text).toBe("1 in schedule 40");
  expect(screen.queryByRole("option", { name: "32 mm pressure pipe" })).toBeNull();
});
