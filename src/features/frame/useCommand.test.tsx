import { act, renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import type { Action, ActionResult } from "@/server/session/result";
import { Garden, toasts, US, went } from "../../../tests/component/shown";
import { useCommand } from "./useCommand";

jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn(async () => ({ ok: true, value: undefined })) }));
jest.mock("./passwordAgain", () => ({ passwordAgain: jest.fn(async () => true) }));
const { undoAct } = jest.requireMock<{ undoAct: jest.Mock }>("@/server/history/actions");
const { toast } = jest.requireMock<{ toast: { success: jest.Mock } }>("sonner");

const calls: { readonly input: unknown; readonly act: unknown }[] = [];
/** An action that answers one after the other. */
const answering =
  (...answers: readonly (ActionResult<number> | Error)[]): Action<number> =>
  async (input, id) => {
    calls.push({ input, act: id });
    const answer = answers[Math.min(calls.length, answers.length) - 1]!;
    if (answer instanceof Error) throw answer;
    return answer;
  };
const hook = (action: Action<number>, wrapper = Garden) =>
  renderHook(() => useCommand(action, { done: "House saved" }), { wrapper });
beforeEach(() => calls.splice(0));

test("what is done is said, offers to undo it, and the page is asked for again", async () => {
  const { result } = hook(answering({ ok: true, value: 7, act: "a-1" }));
  await act(async () => expect(await result.current.run({ name: "Net" })).toEqual({ ok: true, value: 7, act: "a-1" }));
  expect(toasts().done).toEqual(["House saved"]);
  expect(went().refresh).toHaveBeenCalledTimes(1);
  const { action, duration } = toast.success.mock.calls[0]![1] as {
    action: { label: string; onClick: () => Promise<void> };
    duration: number;
  };
  // Four seconds, as other words stand, are gone before a hand in a wet glove is there.
  expect([action.label, duration]).toEqual(["Undo", 10_000]);
  await act(() => action.onClick());
  expect(undoAct).toHaveBeenCalledWith({ act: "a-1" }, expect.any(String));
});

test("a refusal is said in words, in the garden's units, beside the field it concerns", async () => {
  const refusal: ActionResult<number> = {
    ok: false,
    status: 400,
    field: "levelL",
    reason: { room: "round", kind: "over-tank", levelL: 900, tankL: 750 },
  };
  const { result } = hook(answering(refusal), ({ children }: { children: ReactNode }) => (
    <Garden units={US}>{children}</Garden>
  ));
  const words = "Level is 238 gal; the tank holds 198 gal.";
  await act(async () =>
    expect(await result.current.run({})).toEqual({ ok: false, status: 400, message: words, fields: { levelL: words } }),
  );
  expect(toasts().refused).toEqual([words]);
});

test("pressed again after a lost answer, the same act is sent; what was typed again is another act", async () => {
  const { result } = hook(answering(new Error("gone"), { ok: true, value: 1 }));
  await act(async () => expect(await result.current.run({ n: 1 })).toMatchObject({ ok: false, status: 503 }));
  expect(toasts().refused[0]).toMatch(/^No answer: it may not have been saved/u);
  await act(async () => void (await result.current.run({ n: 1 })));
  await act(async () => void (await result.current.run({ n: 1 })));
  expect(calls[1]!.act).toBe(calls[0]!.act);
  expect(calls[2]!.act).not.toBe(calls[0]!.act);
});

test("what wants the password again is asked once more after it was typed", async () => {
  const confirm: ActionResult<number> = {
    ok: false,
    status: 403,
    reason: { room: "any", kind: "password-again" },
    confirm: true,
  };
  const { result } = hook(answering(confirm, { ok: true, value: 3 }));
  await act(async () => expect(await result.current.run({})).toEqual({ ok: true, value: 3 }));
  expect(calls).toHaveLength(2);
});
