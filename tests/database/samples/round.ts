import { idOf, type Samples, type Rows } from "./lib";

const item = async (rows: Rows, kinds: readonly string[]) => {
  const { season } = await import("../../../src/server/garden/season");
  const { roundOf } = await import("../../../src/server/round/today");
  const db = { query: async (text: string, values: unknown[]) => ({ rows: await rows(text, values) }) };
  const { items } = await roundOf(db as never, await season());
  return items.find(({ task }) => kinds.includes(task.kind))!.key;
};

export const ROUND_SAMPLES: Samples = {
  "round/seedlings": {
    countSeedlings: {
      least: "helper",
      input: async (rows) => ({
        batchId: await idOf(
          rows,
          "select batch_id as id from batch_stage where position = 0 order by begun_on desc limit 1",
        ),
        ...{ of: 10, up: 8 },
      }),
    },
  },
  "round/actions": {
    tickItem: {
      least: "helper",
      input: async (rows) => ({
        key: await item(rows, ["wash", "sow", "move", "pick"]),
        actual: null,
        picked: 0,
        thrownAway: 0,
        note: "",
      }),
    },
    skipItem: {
      least: "helper",
      input: async (rows) => ({ key: await item(rows, ["wash", "sow", "move", "pick"]), reason: "rain" }),
    },
    undoEntry: {
      least: "helper",
      input: async (rows) => ({
        entryId: await idOf(
          rows,
          'insert into log_entry (garden_id, person_id, day, kind, what) values (1, 1, \'2027-09-02\', \'note\', \'{"kind": "note", "title": "to be undone", "place": ""}\') returning id',
        ),
      }),
    },
    enterReading: {
      least: "helper",
      input: async () => ({ loopId: 1, ecMsPerCm: 1.9, ph: 6.5, waterC: 20, levelL: 500, sure: true }),
    },
    doseDone: {
      least: "grower",
      input: async (rows) => ({
        entryId: await idOf(
          rows,
          `insert into log_entry (garden_id, person_id, day, kind, loop_id, what) values (1, 1, '2027-09-02', 'reading', 1, '{"kind": "reading", "tank": "Leaf tank", "figures": {}, "slip": {"verdict": "correct", "says": [], "steps": [{"do": "stock", "letter": "A", "litres": 1}], "cautions": []}}') returning id`,
        ),
      }),
    },
    enterStore: { least: "helper", input: async () => ({ storeId: 1, storedL: 9000 }) },
    enterCatchCans: {
      least: "helper",
      input: async (rows) => ({
        standId: await idOf(rows, "select id from stand where garden_id = 1 and kind = 'drip-beds' limit 1"),
        line: 1,
        volumesMl: [79, 81, 80, 12, 82],
        durationS: 180,
        nominalFlowLph: 1.6,
      }),
    },
    enterCalibration: {
      least: "grower",
      input: async (rows) => ({
        loopId: await idOf(rows, "select id from loop where garden_id = 1 and feeding = 'injector'"),
        setR: 91,
        stockDrawnL: 0.496,
        meteredL: 50,
        meter: "after",
        sure: false,
      }),
    },
    addNote: {
      least: "helper",
      own: true,
      input: async () => ({ title: "Seen", place: "", day: "2027-09-02", note: "" }),
    },
    correctEntry: {
      least: "helper",
      input: async (rows) => ({
        entryId: await idOf(
          rows,
          "select max(id) as id from log_entry entry where kind = 'reading' and loop_id = 2 and corrects_id is null and not exists (select from log_entry right_one where right_one.corrects_id = entry.id)",
        ),
        values: { ph: 5.8 },
        note: "read again",
      }),
    },
  },
};
