import { STAND_MODELS } from "../../src/core/place/kinds";
import type { Caller } from "./calls";

const SAVES = 60;
const STANDS = 500;
const AT_ONCE = 100;

/** How long a save takes alone, and adopting a what-if of 500 stands. */
export async function saveBench({ call }: Caller, growingAreaId: number): Promise<void> {
  const timed = async <Value>(work: () => Promise<{ ok: boolean; value?: Value }>) => {
    const start = performance.now();
    const answer = await work();
    if (!answer.ok) throw new Error(`the save was refused: ${JSON.stringify(answer)}`);
    return { ms: performance.now() - start, value: answer.value as Value };
  };
  const house = {
    name: "Bench house",
    lengthM: 120,
    widthM: 120,
    heightM: 4,
    cover: "film",
    shadeShare: 0,
    xM: 200,
    yM: 0,
  };
  const { value: houseId } = await timed(() =>
    call<number>("saveHouse", { ...house, id: null, opened: null }, { path: "/place" }),
  );
  const times: number[] = [];
  for (let save = 0, heightM = house.heightM; save < SAVES; save++) {
    const opened = { ...house, heightM };
    heightM = 3 + (save % 7) / 10;
    const { ms } = await timed(() => call("saveHouse", { ...house, id: houseId, opened, heightM }, { path: "/place" }));
    times.push(ms);
  }
  times.sort((a, b) => a - b);
  console.log("\nA save alone (asked: p95 under 80 ms)");
  console.log(`  median ${times[SAVES / 2]!.toFixed(0)} ms, p95 ${times[Math.floor(SAVES * 0.95)]!.toFixed(0)} ms`);

  const { value: whatIf } = await timed(() =>
    call<number>("addWhatIf", { name: "Many", purpose: "" }, { path: "/place" }),
  );
  const spec = { ...STAND_MODELS["channel-bank"].example, lines: 1, lineLengthM: 2 };
  const stand = (index: number) => ({
    houseId,
    growingAreaId,
    loopId: null,
    name: `Stand ${index}`,
    xM: (index % 25) * 4,
    yM: Math.floor(index / 25) * 4,
    turned: false,
    spec,
  });
  const path = `/place?whatif=${whatIf}`;
  const adding: number[] = [];
  for (let first = 0; first < STANDS; first += AT_ONCE) {
    const stands = Array.from({ length: AT_ONCE }, (_, index) => stand(first + index));
    adding.push((await timed(() => call("addStands", { stands }, { path }))).ms);
  }
  const { ms } = await timed(() => call("adoptWhatIf", { id: whatIf, rows: null }, { path: "/batches/what-if" }));
  console.log(`\nA what-if of ${STANDS} stands (asked: adopted in under 1 s)`);
  console.log(`  ${AT_ONCE} added to it: ${Math.max(...adding).toFixed(0)} ms at most; adopted: ${ms.toFixed(0)} ms`);
}
