import { act, renderHook, waitFor } from "@testing-library/react";
import { STAND_MODELS } from "@/core/place/kinds";
import type { House, Stand } from "@/core/garden/garden";
import type { ActionResult } from "@/server/session/result";
import { Garden, toasts } from "../../../../tests/component/shown";
import { usePlanEdit } from "./usePlanEdit";

const undo = jest.fn<Promise<ActionResult<undefined>>, [unknown]>(async () => ({ ok: true, value: undefined }));
jest.mock("@/server/history/actions", () => ({ undoAct: (input: unknown) => undo(input) }));

const house = { id: 1, name: "Net", lengthM: 12, widthM: 8 } as House;
const bench = { ...STAND_MODELS["flood-bench"].example, lines: 1 };
const stand = (id: number, xM: number): Stand => ({
  id,
  houseId: 1,
  growingAreaId: 1,
  loopId: null,
  name: `Bench ${id}`,
  position: id,
  xM,
  yM: 0,
  turned: false,
  groundM: 0,
  ...{ matC: null, lampsUmolPerM2S: null, lampHours: null, domed: false },
  spec: bench,
});
const stands = [stand(1, 0), stand(2, 5)];
const saved = { ok: true as const, value: 1, act: "act-1" };
const store = {
  saveStand: jest.fn(async (..._given: unknown[]) => saved),
  addStands: jest.fn(async (..._given: unknown[]) => ({ ...saved, value: [3], act: "act-2" })),
  removeStand: jest.fn(async (..._given: unknown[]) => saved),
};
jest.mock("@/server/place/actions", () => ({
  saveStand: (...given: unknown[]) => store.saveStand(...given),
  addStands: (...given: unknown[]) => store.addStands(...given),
  removeStand: (...given: unknown[]) => store.removeStand(...given),
  saveHouse: jest.fn(),
}));
const editing = () => renderHook(() => usePlanEdit(stands, [house]), { wrapper: Garden }).result;

test("a stand that is moved is only drawn; dropped, it is saved against what was seen", async () => {
  const edit = editing();
  act(() => edit.current.pickUp(1));
  act(() => edit.current.hold({ xM: 1.2 }));
  expect([edit.current.inHand?.xM, edit.current.clash]).toEqual([1.2, null]);
  expect(store.saveStand).not.toHaveBeenCalled();
  await act(() => edit.current.drop());
  expect(store.saveStand).toHaveBeenCalledWith(
    expect.objectContaining({ id: 1, opened: expect.objectContaining({ xM: 0 }), xM: 1.2 }),
    expect.anything(),
  );
  expect(edit.current.canUndo).toBe(true);
});

test("near a wall it comes to rest there; where it would overlap, it is not put down", async () => {
  const edit = editing();
  act(() => edit.current.pickUp(1));
  act(() => edit.current.hold({ xM: 0.08, yM: 3 }, 0.15));
  expect(edit.current.inHand?.xM).toBe(0);
  expect(edit.current.guides).toMatchObject([{ axis: "x", kind: "wall" }]);
  act(() => edit.current.hold({ xM: 4.5, yM: 0 }));
  expect(edit.current.clash).toBe("Bench 1 and Bench 2 overlap.");
  await act(() => edit.current.drop());
  expect(toasts().refused).toEqual(["Not moved: Bench 1 and Bench 2 overlap."]);
  expect([store.saveStand.mock.calls.length, edit.current.inHand]).toEqual([0, null]);
});

test("duplicated beside itself under the next name, deleted, and both undone, the last first", async () => {
  const edit = editing();
  await act(() => edit.current.duplicate(2));
  const [{ stands: added }] = store.addStands.mock.calls[0] as unknown as [{ stands: Stand[] }];
  expect(added[0]).toMatchObject({ name: "Bench 3", houseId: 1 });
  expect(added[0]).not.toHaveProperty("id");
  await act(() => edit.current.remove(1));
  expect(store.removeStand).toHaveBeenCalledWith({ id: 1 }, expect.anything());
  await act(() => edit.current.undo());
  await act(() => edit.current.undo());
  await waitFor(() => expect(undo.mock.calls.map(([input]) => input)).toEqual([{ act: "act-1" }, { act: "act-2" }]));
  expect(edit.current.canUndo).toBe(false);
});

test("what is put down while a save is under way is saved after it, on what it made; an undo waits for both", async () => {
  let answer: (result: typeof saved) => void = () => undefined;
  store.saveStand.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
  const edit = editing();
  await act(async () => void edit.current.change(1, { xM: 1 }));
  await act(async () => void edit.current.change(1, { xM: 2 }));
  await act(async () => void edit.current.undo());
  expect([store.saveStand.mock.calls.length, undo.mock.calls.length]).toEqual([1, 0]);
  await act(async () => answer({ ...saved, act: "act-3" }));
  await waitFor(() => expect(undo.mock.calls.map(([input]) => input)).toEqual([{ act: "act-1" }]));
  expect(store.saveStand.mock.calls[1]![0]).toMatchObject({ opened: { xM: 1 }, xM: 2 });
  expect(edit.current.canUndo).toBe(true);
});

test("put down and taken up again while it is being saved, it stays in hand when the page comes in", async () => {
  let answer: (result: typeof saved) => void = () => undefined;
  store.saveStand.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
  let page = stands;
  const { result: edit, rerender } = renderHook(() => usePlanEdit(page, [house]), { wrapper: Garden });
  act(() => edit.current.pickUp(1));
  act(() => edit.current.hold({ xM: 1 }));
  await act(async () => void edit.current.drop());
  await act(async () => void edit.current.drop());
  await act(async () => answer(saved));
  act(() => edit.current.hold({ xM: 1.5 }));
  page = [stand(1, 1), stands[1]!];
  rerender();
  expect([edit.current.inHand?.xM, store.saveStand.mock.calls.length]).toEqual([1.5, 1]);
  await act(() => edit.current.drop());
  expect(store.saveStand.mock.calls[1]![0]).toMatchObject({ opened: { xM: 1 }, xM: 1.5 });
  // The same number once more is nothing to save.
  await act(() => edit.current.change(2, { xM: 5 }));
  expect(store.saveStand).toHaveBeenCalledTimes(2);
});

test("a save that is refused is not built on the last one again, which somebody may have undone", async () => {
  const edit = editing();
  await act(() => edit.current.change(1, { xM: 1 }));
  store.saveStand.mockImplementationOnce(async () => ({ ok: false, status: 409, message: "Changed." }) as never);
  await act(() => edit.current.change(1, { xM: 2 }));
  await act(() => edit.current.change(1, { xM: 2 }));
  expect(store.saveStand.mock.calls.map(([input]) => (input as { opened: Stand }).opened.xM)).toEqual([0, 1, 0]);
});
