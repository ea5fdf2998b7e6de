import { standFlow } from "../place/standFlow";
import { bedCoverage } from "../water/bedCoverage";
import { bedPlanOf, dripLine, drippedOf } from "../water/dripLine";
import type { LadderStand } from "../water/ladder";
import { headAtLines, USUAL_HEAD_M } from "./headAtLines";
import type { PumpOnPipes } from "./ladderPump";
import { bankName } from "./loopPipes";
import { memo } from "./memo";
import type { Loop, Stand } from "./garden";
import { standingOn } from "./standing";
import type { Worked } from "./worked";

/**
 * The ends of a loop for its ladder: a bank for each valve where something gives pressure, else a stand as a whole; with what
 * stands on its own lines today.
 */
export function ladderStands(worked: Worked, loop: Loop, stands: readonly Stand[], pumped: PumpOnPipes | null) {
  const standing = standingOn(worked, worked.today);
  return stands.flatMap((stand): LadderStand[] => {
    const flow = standFlow(stand.spec);
    const lines = standing.get(stand.id) ?? [];
    const common = {
      lineFlowLph: flow.lineFlowLph,
      limited: flow.limited,
      sitesPerLine: flow.sitesPerFeed,
      leastPlantShare: leastPlantShare(
        stand,
        headAtLines(loop, stand.id, pumped)?.headM ?? USUAL_HEAD_M,
        loop.pump?.waterC,
      ),
    };
    const on = (from: number, to: number) => {
      const own = lines.slice(from * flow.linesPerRun, to * flow.linesPerRun);
      return {
        plants: own.reduce((sum, { plants }) => sum + plants, 0),
        needLpd: own.reduce((sum, { needLpd }) => sum + needLpd, 0),
      };
    };
    const banks = pumped?.banks.filter(({ bank }) => bank.standId === stand.id) ?? [];
    if (banks.length > 0)
      return banks.map(({ bank, share }) => ({
        ...{ ...common, key: bank.key, name: bankName(bank), lines: bank.lines, linesPerValve: bank.lines, share },
        ...on(bank.firstLine, bank.firstLine + bank.lines),
      }));
    const linesPerValve = Math.ceil(flow.linesPerValve / flow.linesPerRun);
    return [
      {
        ...{ ...common, key: String(stand.id), name: stand.name, lines: flow.feeds, linesPerValve, share: 1 },
        ...on(0, flow.feeds),
      },
    ];
  });
}

/** Of an even share of its line, what the plant gets that gets least: by where emitters and plants are, and along the line. */
function leastPlantShare({ spec }: Stand, headM: number, waterC?: number): number {
  return memo("least plant share", [spec, headM, waterC], () => {
    const dripped = drippedOf(spec);
    const answer = dripped && dripLine(dripped, headM, "darcy-weisbach", waterC);
    if (!answer || answer.flow.totalLph <= 0) return 1;
    if (dripped.kind === "bucket-line")
      return Math.min(...answer.flow.flowsLph) / (answer.flow.totalLph / answer.lateral.count);
    const flows = bedCoverage(bedPlanOf(dripped, answer)).plants.map(({ flowLph }) => flowLph);
    if (flows.length === 0) return 1;
    const even = (answer.flow.totalLph * dripped.lateralsPerBed) / flows.length;
    return Math.min(1, Math.min(...flows) / even);
  });
}
