import type { Dimension } from "../units/dimensions";
import { injectorVerdict } from "../feed/injector";
import { pipeHeadLossM } from "./pipeFriction";
import { pumpCurve } from "./pumpCurve";
import { pumpDuty, type PumpSystem } from "./pumpDuty";
import { timerMinutes, type TimerProgram } from "./timer";
import { told } from "../units/told";

/** Something that the loop feeds: the lines of one stand. */
export interface LadderStand {
  readonly name: string;
  readonly lines: number;
  readonly lineFlowLph: number;
  readonly linesPerValve: number;
  readonly limited: boolean;
  readonly sitesPerLine: number;
  /** Plants standing there today, and litres a day they drink together. */
  readonly plants: number;
  readonly needLpd: number;
}

export interface LadderInput {
  readonly kind: "recirculating" | "run-to-waste";
  readonly drainShare: number;
  readonly pump: PumpSystem | null;
  readonly timer: TimerProgram;
  /** Banks are opened in this many turns; 1 is all at once. */
  readonly turns: number;
  readonly stands: readonly LadderStand[];
  readonly injector: { readonly leastLph: number; readonly greatestLph: number } | null;
  /** The whole garden's water: litres a day wanted, what sources without a store can give, and what is stored. */
  readonly garden: {
    readonly needLpd: number;
    readonly sourcesLpd: number;
    readonly storedL: number;
    readonly capacityL: number;
  };
}

export type RungKind = "source" | "store" | "pump" | "injector" | "main" | "bank" | "line" | "plant";
export type RungVerdict = "ample" | "fits" | "tight" | "short" | "idle";

/** One step of the water's way: what is there against what is wanted, in one unit. */
export interface Rung {
  readonly kind: RungKind;
  readonly name: string;
  readonly detail: string;
  readonly has: number;
  readonly wants: number;
  readonly dimension: Dimension;
  /** has ÷ wants; Infinity where nothing is wanted. */
  readonly ratio: number;
  readonly verdict: RungVerdict;
  /** The formula in words, for whoever asks how the number came about. */
  readonly how: string;
  /** What would ease this rung, worked out. */
  readonly eases: readonly string[];
}

export interface Ladder {
  readonly rungs: readonly Rung[];
  /** Index of the rung with the least to spare; null where the loop wants nothing. */
  readonly tightest: number | null;
  readonly wantedFlowLph: number;
  readonly pumpFlowLph: number;
  readonly runMinutesPerDay: number;
  /** Litres that a plant is given a day, on the stand where that is least against its need. */
  readonly givenPerPlantLpd: number;
}

/** Days of the garden's need that a store should hold before it counts as tight. */
const STORE_DAYS = 14;
/** Bores of common polyethylene pipe, mm, for the what-if of a wider riser. */
const BORES_MM = [13.6, 17, 21.2, 26.2, 33.2, 41.4, 51.4];

/**
 * Follows the water from source to plant and says at each rung what is wanted and what is there.
 *
 * @returns the rungs in the order of the flow, the tightest of them, and the loop's flows
 * @throws RangeError for a pump, pipe or timer out of range
 * @source pumpDuty.ts, timer.ts; shares of the flow in proportion to what each line wants
 */
export function ladder(input: LadderInput): Ladder {
  const totalLph = input.stands.reduce((sum, stand) => sum + stand.lines * stand.lineFlowLph, 0);
  const wantedFlowLph = totalLph / input.turns;
  const duty = input.pump ? pumpDuty(input.pump) : null;
  const pumpFlowLph = duty?.flowLph ?? 0;
  const minutes = timerMinutes(input.timer);
  const plumbed = input.stands.filter((stand) => stand.lineFlowLph > 0);
  const worst = plumbed
    .map((stand) => plantRung(stand, input, wantedFlowLph > 0 ? pumpFlowLph / wantedFlowLph : 0, minutes))
    .sort((a, b) => a.rung.ratio - b.rung.ratio)[0];
  const rungs: Rung[] = [
    sourceRung(input),
    storeRung(input),
    ...(input.pump ? [pumpRung(input.pump, pumpFlowLph, wantedFlowLph, input.turns, totalLph)] : []),
    ...(input.injector ? [injectorRung(input.injector, plumbed, wantedFlowLph)] : []),
    ...(input.pump && wantedFlowLph > 0 ? [mainRung(input.pump, wantedFlowLph)] : []),
    ...(input.pump && worst
      ? [bankRung(worst.stand, pumpFlowLph, wantedFlowLph), lineRung(worst.stand, pumpFlowLph, wantedFlowLph)]
      : []),
    ...(worst ? [worst.rung] : []),
  ];
  const wanting = rungs.map((rung, index) => ({ rung, index })).filter(({ rung }) => rung.verdict !== "idle");
  const tightest = wanting.sort((a, b) => a.rung.ratio - b.rung.ratio)[0]?.index ?? null;
  return {
    rungs,
    tightest,
    wantedFlowLph,
    pumpFlowLph,
    runMinutesPerDay: minutes,
    givenPerPlantLpd: worst?.rung.has ?? 0,
  };
}

function rung(parts: Omit<Rung, "ratio" | "verdict">): Rung {
  const ratio = parts.wants > 0 ? parts.has / parts.wants : Infinity;
  const verdict =
    parts.wants <= 0 ? "idle" : ratio < 1 - 1e-9 ? "short" : ratio < 1.1 ? "tight" : ratio <= 1.5 ? "fits" : "ample";
  return { ...parts, ratio, verdict };
}

function sourceRung({ garden }: LadderInput): Rung {
  const rainLpd = Math.max(0, garden.needLpd - garden.sourcesLpd);
  return rung({
    kind: "source",
    name: "Sources",
    detail: "all of them, for the whole garden",
    has: garden.sourcesLpd + Math.min(garden.storedL, garden.needLpd),
    wants: garden.needLpd,
    dimension: "volume",
    how: "What well, mains and carried water may give in a day, and what the store can add, against the litres that all plants drink today.",
    eases:
      rainLpd > 0
        ? [`Without the store the other sources leave ${told(Math.round(rainLpd), "volume")} a day unmet.`]
        : [],
  });
}

function storeRung({ garden }: LadderInput): Rung {
  return rung({
    kind: "store",
    name: "Store",
    detail:
      garden.needLpd > 0
        ? `${Math.floor(garden.storedL / garden.needLpd)} days in hand without rain`
        : "nothing is drawn today",
    has: garden.storedL,
    wants: STORE_DAYS * garden.needLpd,
    dimension: "volume",
    how: `Litres in the store against ${STORE_DAYS} days of today's need.`,
    eases:
      garden.storedL < STORE_DAYS * garden.needLpd
        ? ["Let another source serve first while it may, and keep the store for dry weeks."]
        : [],
  });
}

function pumpRung(pump: PumpSystem, flowLph: number, wantedLph: number, turns: number, totalLph: number): Rung {
  const eases: string[] = [];
  if (flowLph < wantedLph) {
    const moreTurns = flowLph > 0 ? Math.ceil(totalLph / flowLph) : null;
    if (moreTurns && moreTurns > turns)
      eases.push(
        `Run the banks in ${moreTurns} turns: each then wants ${told(Math.round(totalLph / moreTurns), "flow")}.`,
      );
    const lower = pumpDuty({ ...pump, staticLiftM: pump.staticLiftM - 0.1 }).flowLph;
    eases.push(`Each ${told(0.1, "length")} less lift brings ${told(Math.round(lower - flowLph), "flow")} more.`);
    const bore = BORES_MM.find((candidate) => candidate > pump.pipe.boreMm * 1.05);
    if (bore) {
      const wider = pumpDuty({ ...pump, pipe: { ...pump.pipe, boreMm: bore } }).flowLph;
      eases.push(`A riser of ${told(bore, "bore")} bore brings ${told(Math.round(wider - flowLph), "flow")} more.`);
    }
  }
  const lift = `lifts ${told(pump.staticLiftM, "length")} at the lowest water level`;
  return rung({
    kind: "pump",
    name: "Pump",
    detail: flowLph === 0 ? `cannot lift: ${lift}` : lift,
    has: flowLph,
    wants: wantedLph,
    dimension: "flow",
    how: "The flow at which the pump's curve meets lift, friction, fittings and the head wanted at the outlet, against all lines that are open together.",
    eases,
  });
}

function injectorRung(
  injector: { leastLph: number; greatestLph: number },
  stands: readonly LadderStand[],
  wantedLph: number,
): Rung {
  const banks = stands.flatMap((stand) => bankFlows(stand).map((flow) => ({ stand, flow })));
  const least = banks.reduce((a, b) => (b.flow < a.flow ? b : a), { stand: stands[0]!, flow: wantedLph });
  const belowAlone =
    banks.length > 0 && injectorVerdict(least.flow, injector.leastLph, injector.greatestLph) === "below";
  const above = wantedLph > injector.greatestLph;
  const parts = {
    kind: "injector" as const,
    name: "Injector",
    detail: `doses from ${told(injector.leastLph, "flow")} to ${told(injector.greatestLph, "flow")}`,
    dimension: "flow" as const,
    how: "Under its least flow a piston stops dosing, over its greatest it doses too little. The smallest bank alone and all open lines together are held against the range.",
  };
  if (above || !belowAlone)
    return rung({
      ...parts,
      has: injector.greatestLph,
      wants: wantedLph,
      eases: above ? [`Run the banks in ${Math.ceil(wantedLph / injector.greatestLph)} turns.`] : [],
    });
  return rung({
    ...parts,
    has: least.flow,
    wants: injector.leastLph,
    eases: [`Open ${least.stand.name} together with another bank.`],
  });
}

function mainRung(pump: PumpSystem, wantedLph: number): Rung {
  const curve = pumpCurve(pump.points);
  const lossM = pipeHeadLossM(wantedLph, pump.pipe);
  const atPumpM = wantedLph <= curve.lastFlowLph ? curve.headM(wantedLph) : 0;
  return rung({
    kind: "main",
    name: `Main, ${told(pump.pipe.boreMm, "bore")} bore`,
    detail: `${told(lossM, "length")} lost on ${told(pump.pipe.lengthM, "length")} and its fittings`,
    has: Math.max(0, atPumpM),
    wants: Math.max(0.01, pump.staticLiftM + pump.headWantedM + lossM),
    dimension: "length",
    how: "Head that the pump gives at the wanted flow, against lift + head wanted at the outlet + what pipe and fittings take at that flow.",
    eases:
      lossM > pump.staticLiftM
        ? ["Most of the head goes into friction: a wider main would help more than a larger pump."]
        : [],
  });
}

function bankRung(stand: LadderStand, pumpLph: number, wantedLph: number): Rung {
  const largest = Math.max(...bankFlows(stand));
  return rung({
    kind: "bank",
    name: `Bank of ${stand.name}`,
    detail: `${Math.min(stand.linesPerValve, stand.lines)} lines on one valve`,
    has: (largest * pumpLph) / wantedLph,
    wants: largest,
    dimension: "flow",
    how: "The pump's flow shared out over all open lines in proportion to what each wants, times the lines of one valve.",
    eases: pumpLph < wantedLph ? ["Close this bank while others run, and give it a turn of its own."] : [],
  });
}

function lineRung(stand: LadderStand, pumpLph: number, wantedLph: number): Rung {
  const share = (stand.lineFlowLph * pumpLph) / wantedLph;
  return rung({
    kind: "line",
    name: `One line of ${stand.name}`,
    detail: stand.limited ? "emitters take no more than that" : "open spigots; 1–2 L/min is usual",
    has: share,
    wants: stand.lineFlowLph,
    dimension: stand.limited ? "flow" : "lineFlow",
    how: "The line's share of the pump's flow against its nominal flow. Drip emitters take at most what they are made for; open spigots take what comes.",
    eases: [],
  });
}

function plantRung(
  stand: LadderStand,
  input: LadderInput,
  pumpShare: number,
  minutes: number,
): { stand: LadderStand; rung: Rung } {
  const reach = input.pump ? (stand.limited ? Math.min(1, pumpShare) : pumpShare) : 1;
  const minutesOwn = minutes / input.turns;
  const perPlantLph = stand.sitesPerLine > 0 ? (stand.lineFlowLph * reach) / stand.sitesPerLine : 0;
  const given = (perPlantLph * minutesOwn) / 60;
  const need = stand.plants > 0 ? stand.needLpd / stand.plants / (1 - input.drainShare) : 0;
  const moreMinutes = perPlantLph > 0 ? Math.ceil(((need - given) / perPlantLph) * 60) : 0;
  return {
    stand,
    rung: rung({
      kind: "plant",
      name: `One plant in ${stand.name}`,
      detail: `${told(perPlantLph, "flow")} while it runs; ${stand.plants > 0 ? `${stand.plants} plants there today` : "none there today"}`,
      has: given,
      wants: need,
      dimension: "volume",
      how: "Flow of the line ÷ its sites × minutes the timer runs, against what a plant drinks a day in its stage (and the drain share of a run-to-waste loop).",
      eases: given < need && moreMinutes > 0 ? [`Run the timer ${moreMinutes} minutes more a day.`] : [],
    }),
  };
}

function bankFlows(stand: LadderStand): number[] {
  const banks = Math.ceil(stand.lines / stand.linesPerValve);
  return Array.from(
    { length: banks },
    (_, bank) => Math.min(stand.linesPerValve, stand.lines - bank * stand.linesPerValve) * stand.lineFlowLph,
  );
}
