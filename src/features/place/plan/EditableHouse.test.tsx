import { act, fireEvent, screen } from "@testing-library/react";
import type { House } from "@/core/garden/garden";
import { shown } from "../../../../tests/component/shown";
import { EditableHouse } from "./EditableHouse";

const house = {
  ...{ id: 1, name: "Lean-to", lengthM: 8, widthM: 3, heightM: 2.4, xM: 16, yM: 0, cover: "glass", shadeShare: 0 },
} as unknown as House;

test("a house taken up again while it is being saved stays in hand", async () => {
  let saved = () => undefined as void;
  const save = jest.fn(() => new Promise<void>((resolve) => (saved = resolve)));
  shown(
    <svg>
      <EditableHouse house={house} others={[]} pxPerM={20} layer={{ current: null }} save={save} />
    </svg>,
  );
  const press = (key: string) => fireEvent.keyDown(screen.getByRole("button", { name: /^House Lean-to/u }), { key });
  press("ArrowRight");
  press("Enter");
  press("t");
  await act(async () => saved());
  expect(screen.getByRole("button", { name: /3 m by 8 m, 16.5 m from the left/u })).toBeTruthy();
  press("Enter");
  await act(async () => saved());
  expect(save).toHaveBeenCalledTimes(2);
  expect(screen.getByRole("button", { name: /8 m by 3 m, 16 m from the left/u })).toBeTruthy();
});
