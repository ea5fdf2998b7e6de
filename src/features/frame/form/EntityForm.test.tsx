import { screen, waitFor } from "@testing-library/react";
import Joi from "joi";
import type { ActionResult } from "@/server/session/result";
import { Garden, shown, toasts, US } from "../../../../tests/component/shown";
import { measure, text } from "@/server/session/validation";
import { draftKey, readDraft } from "../drafts";
import { EntityForm } from "./EntityForm";
import type { FieldSpec } from "./fields";

jest.mock("@/server/history/actions", () => ({ undoAct: jest.fn() }));

const schema = Joi.object({
  id: Joi.number().allow(null),
  version: Joi.number().allow(null),
  name: text("Name"),
  lengthM: measure("Length", 1, 100, "m"),
});
const fields: readonly FieldSpec[] = [
  { name: "name", label: "Name", type: "text" },
  { name: "lengthM", label: "Length", type: "quantity", dimension: "length" },
];
const row = { id: 7, version: 2, name: "Net house", lengthM: 12 };
const save = jest.fn<Promise<ActionResult<number>>, [unknown]>(async () => ({ ok: true, value: 7 }));
const done = jest.fn();
const form = (defaults: object = row, asked = fields) => (
  <EntityForm
    form="house"
    schema={schema}
    fields={asked}
    defaults={defaults}
    action={(input) => save(input)}
    saved="House saved"
    onDone={done}
  />
);
const field = (name: string) => screen.getByRole<HTMLInputElement>("textbox", { name });
const press = () => screen.getByRole("button", { name: "Save" });
const kept = () => readDraft<{ values: typeof row }>(draftKey(1, "house:7"))?.value.values;

test("what is typed is sent as it is meant, and the form says that it was saved", async () => {
  const { user } = shown(form());
  await user.clear(field("Length"));
  await user.type(field("Length"), "40 ft");
  await user.click(press());
  await waitFor(() => expect(done).toHaveBeenCalledWith(7));
  expect(save).toHaveBeenCalledWith({ ...row, lengthM: 12.192 });
  expect(toasts().done).toEqual(["House saved"]);
  expect(kept()).toBeUndefined();
});

test("a bad figure in a field that is hidden by now does not keep a form from being saved: its last good one is sent", async () => {
  const hiding: readonly FieldSpec[] = [
    { name: "name", label: "Name", type: "text" },
    { ...fields[1]!, when: ({ name }) => name !== "Garden" },
  ];
  const { user } = shown(form(row, hiding));
  await user.clear(field("Length"));
  await user.type(field("Length"), "900 m");
  await user.clear(field("Name"));
  await user.type(field("Name"), "Garden");
  await user.click(press());
  await waitFor(() => expect(save).toHaveBeenCalledWith({ ...row, name: "Garden" }));
});

test("a range that is missed is said beside the field, in the garden's units; nothing is sent", async () => {
  const { user } = shown(form(), US);
  await user.clear(field("Length"));
  await user.type(field("Length"), "2 ft");
  await user.click(press());
  expect(await screen.findByText("Length is 2 ft; it must be at least 3.28 ft")).toBeTruthy();
  expect(field("Length").getAttribute("aria-invalid")).toBe("true");
  expect(save).not.toHaveBeenCalled();
});

test("a refusal is shown beside its field, and what was typed stays, on this device too", async () => {
  save.mockResolvedValueOnce({
    ok: false,
    status: 400,
    field: "name",
    reason: { room: "place", kind: "name-taken", part: "house" },
  });
  const { user, unmount } = shown(form());
  await user.clear(field("Name"));
  await user.type(field("Name"), "Tunnel");
  await user.click(press());
  // Once, and the field is under the hand.
  expect(await screen.findAllByText("Another house has this name.")).toHaveLength(1);
  expect(toasts().refused).toEqual([]);
  expect(document.activeElement).toBe(field("Name"));
  expect(field("Name").value).toBe("Tunnel");
  expect(kept()).toMatchObject({ name: "Tunnel" });
  unmount();
  shown(form());
  expect(await screen.findByText("Your unsaved changes were restored.", { exact: false })).toBeTruthy();
  expect(field("Name").value).toBe("Tunnel");
});

test("saved by somebody else meanwhile: both versions stand side by side, and the next save builds on theirs", async () => {
  save.mockResolvedValueOnce({
    ok: false,
    status: 409,
    reason: { room: "any", kind: "stale", by: "Oke" },
    stale: { by: "Oke", at: "2027-09-02T10:00:00Z" },
  });
  const { user, rerender } = shown(form());
  await user.clear(field("Name"));
  await user.type(field("Name"), "Mine");
  await user.click(press());
  rerender(<Garden>{form({ ...row, version: 3, name: "Theirs", lengthM: 15 })}</Garden>);
  const both = await screen.findByRole("region", { name: "Both versions" });
  await waitFor(() => expect(both.textContent).toContain("Theirs"));
  // What was not touched here takes over theirs.
  expect(field("Length").value).toBe("15 m");
  await user.click(screen.getByRole("button", { name: "Save as chosen" }));
  await waitFor(() => expect(save).toHaveBeenLastCalledWith({ id: 7, version: 3, name: "Mine", lengthM: 15 }));
});

test("a form that nobody has typed in follows what others save", async () => {
  const { rerender } = shown(form());
  rerender(<Garden>{form({ ...row, version: 3, name: "Renamed" })}</Garden>);
  await waitFor(() => expect(field("Name").value).toBe("Renamed"));
});

test("days that are the same all year are one field; months that differ are shown, and become one again", async () => {
  const daysSchema = Joi.object({ id: Joi.any(), version: Joi.any(), days: Joi.array().items(Joi.number()) });
  const { user } = shown(
    <EntityForm
      form="variety"
      schema={daysSchema}
      fields={[{ name: "days", label: "Days", type: "months", dimension: "days" }]}
      defaults={{ id: 7, version: 2, days: Array(12).fill(5) }}
      action={(input) => save(input)}
      saved="Saved"
      onDone={done}
    />,
  );
  await user.clear(field("Days, all year"));
  await user.type(field("Days, all year"), "6");
  await user.click(screen.getByRole("checkbox", { name: "the same all year" }));
  await user.clear(field("Days, December"));
  await user.type(field("Days, December"), "9");
  await user.click(press());
  await waitFor(() =>
    expect(save).toHaveBeenLastCalledWith(expect.objectContaining({ days: [...Array(11).fill(6), 9] })),
  );
  await user.click(screen.getByRole("checkbox", { name: "the same all year" }));
  expect(field("Days, all year").value).toBe("6");
});

test("what is folded is told with what it is taken as, and opens by what is wrong in it", async () => {
  const folded = [fields[0]!, { ...fields[1]!, fold: "Everything else" }];
  const { user } = shown(form({ ...row, lengthM: 0.5 }, folded));
  const fold = screen.getByRole("group");
  expect(fold.textContent).toContain("taken as: length 0.5 m: change");
  expect(fold.hasAttribute("open")).toBe(false);
  await user.click(press());
  expect(await screen.findByText("Length is 0.5 m; it must be from 1 to 100 m")).toBeTruthy();
  expect(fold.hasAttribute("open")).toBe(true);
});
