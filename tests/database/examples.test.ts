import { EXAMPLE_GARDENS } from "../../src/core/garden/examples/gardens";
import { demoGarden } from "./demoGarden";
import { signedInAs } from "./request";
import { said } from "./said";

jest.mock("react", () => ({ ...jest.requireActual<object>("react"), cache: <T>(work: T) => work }));
jest.mock("next/headers", () => jest.requireActual<{ nextHeaders: object }>("./request").nextHeaders);

const { rows } = demoGarden(() => signedInAs("ines"));

test.each(EXAMPLE_GARDENS.map(({ name, cans }) => [name, cans?.volumesMl ?? null] as const))(
  "the example %s opens as a garden of one's own, with what was written down there",
  async (name, volumesMl) => {
    const { openExample } = await import("../../src/server/people/examples");
    expect(said(await openExample({ example: name }))).toMatchObject({ ok: true });
    const tests = await rows<{ volumes: number[] }>(
      `select what -> 'volumesMl' as volumes from log_entry
        where kind = 'catch-cans' and garden_id = (select max(id) from garden where name = $1)`,
      [name],
    );
    const read = await rows(
      "select 1 from reading join loop on loop.id = loop_id where reading.garden_id = (select max(id) from garden where name = $1)",
      [name],
    );
    // In the tray room water is poured by hand: there is no tank to read.
    expect(read).toHaveLength(name === "Tray room" ? 0 : 4);
    expect(tests.map(({ volumes }) => volumes)).toEqual(volumesMl ? [volumesMl] : []);
  },
);
