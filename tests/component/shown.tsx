import { render } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import * as navigation from "next/navigation";
import type { ReactElement } from "react";
import { toast } from "sonner";
import { METRIC, type UnitPreferences } from "../../src/core/units/dimensions";
import { WhoProvider } from "../../src/features/frame/who";
import { UnitsProvider } from "../../src/ui/units";

export const US: UnitPreferences = { system: "us", ec: "CF", temperature: "°F", currency: "$" };

/** Everything below what a page of the garden gives: its units and who looks. */
export function Garden({ units = METRIC, children }: { units?: UnitPreferences; children: React.ReactNode }) {
  return (
    <UnitsProvider units={units}>
      <WhoProvider who={{ personId: 1, role: "keeper", timeZone: "UTC", whatIf: null }}>{children}</WhoProvider>
    </UnitsProvider>
  );
}

/** Shows a component as a keeper sees it. @returns whoever types and presses */
export function shown(element: ReactElement, units: UnitPreferences = METRIC) {
  return { user: userEvent.setup(), ...render(<Garden units={units}>{element}</Garden>) };
}

/** Where the components went, and what their toasts said. */
export const went = () => navigation.useRouter() as unknown as { push: jest.Mock; refresh: jest.Mock };
export const toasts = () => ({
  done: (toast.success as unknown as jest.Mock).mock.calls.map(([words]: unknown[]) => words),
  refused: (toast.error as unknown as jest.Mock).mock.calls.map(([words]: unknown[]) => words),
});
