import { screen, waitFor } from "@testing-library/react";
import Joi from "joi";
import type { ActionResult } from "@/server/session/result";
import { measure } from "@/server/session/validation";
import { shown, US } from "../../../../tests/component/shown";
import { EntityForm } from "./EntityForm";

jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const schema = Joi.object({ id: Joi.number(), typed: Joi.object(), pitchM: measure("Pitch", 0.01, 10, "m") });
const save = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 7 }));
const form = (pitchM: number, typed: object) => (
  <EntityForm
    form="stand"
    schema={schema}
    fields={[{ name: "pitchM", label: "Pitch", type: "quantity", dimension: "length", hint: "plant to plant" }]}
    defaults={{ id: 7, typed, pitchM }}
    action={(input) => save(input)}
    saved="Saved"
    onDone={jest.fn()}
  />
);
const pitch = () => screen.getByRole<HTMLInputElement>("textbox", { name: "Pitch" });
const saved = async (press: () => Promise<void>) => {
  await press();
  await waitFor(() => expect(save).toHaveBeenCalled());
  return save.mock.calls.at(-1)![0];
};
const press = (user: ReturnType<typeof shown>["user"]) => () =>
  user.click(screen.getByRole("button", { name: "Save" }));

test("what was typed is shown again while its value stands, with what it is in the garden's units", () => {
  shown(form(0.047625, { pitchM: ["1 7/8 in", 0.047625] }));
  expect(pitch().value).toBe("1 7/8 in");
  expect(screen.getByText(/^= .*; plant to plant$/u)).toBeTruthy();
});

test("where the value is another by now, the text that was typed for the old one is not shown", () => {
  shown(form(0.25, { pitchM: ["1 7/8 in", 0.047625] }));
  expect(pitch().value).not.toContain("7/8");
  expect(screen.getByText("plant to plant")).toBeTruthy();
});

test("a fraction goes along with what it came to; the others' texts stay", async () => {
  const { user } = shown(form(0.25, { depthM: ["4 in", 0.1016] }));
  await user.clear(pitch());
  await user.type(pitch(), '1/2"');
  expect(await saved(press(user))).toEqual({
    id: 7,
    pitchM: 0.0127,
    typed: { depthM: ["4 in", 0.1016], pitchM: ['1/2"', 0.0127] },
  });
});

test("a bare number, or just what the garden's units would show, is kept as a figure alone", async () => {
  const { user } = shown(form(0.047625, { pitchM: ["1 7/8 in", 0.047625] }), US);
  await user.clear(pitch());
  await user.type(pitch(), "2 ft");
  expect(await saved(press(user))).toMatchObject({ typed: {} });
});
