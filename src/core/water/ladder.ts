import { GREATEST, requireFigures, requireRange, requireWhole } from "../units/range";
import type { Dimension } from "../units/dimensions";
import { injectorVerdict } from "./injector";
import { timerMinutes, type TimerProgram } from "./timer";

/** Something that the loop feeds: the lines of one stand that one valve opens, or of a stand without pipes of its own. */
export interface LadderStand {
  /** Tells it apart. */
  readonly key: string;
  readonly name: string;
  readonly lines: number;
  readonly lineFlowLph: number;
  readonly linesPerValve: number;
  readonly limited: boolean;
  readonly sitesPerLine: number;
  /** Of what its lines want, what they are given; 1 where nothing is pumped. */
  readonly share: number;
  /** Of an even share of its line, what the plant gets that gets least. */
  readonly leastPlantShare: number;
  /** Plants there today, and litres a day they drink together. */
  readonly plants: number;
  readonly needLpd: number;
}

/** What gives the water its pressure. */
export type PressureBy = "pump" | "gravity" | "mains";

/** What a pump, or what is there in its place, does on the pipes of its loop, at the lowest water, with the banks open that run together. */
export interface LadderPump {
  readonly by: PressureBy;
  readonly flowLph: number;
  /** What those banks want. */
  readonly wantedLph: number;
  readonly liftM: number;
  /** All valves of the loop. */
  readonly banks: number;
  /** What less lift, and the next wider pipe, would bring; null where it was not asked or there is none. */
  readonly lessLift: { readonly lessM: number; readonly gainLph: number } | null;
  readonly widerPipe: { readonly boreMm: number; readonly gainLph: number } | null;
  /** The pipe at the flow wanted: what it takes, what the pump has there, and what is needed in all. */
  readonly main: {
    readonly boreMm: number;
    readonly lengthM: number;
    readonly lossM: number;
    readonly headThereM: number;
    readonly neededM: number;
  };
}

export interface LadderInput {
  readonly kind: "recirculating" | "run-to-waste";
  readonly drainShare: number;
  readonly pump: LadderPump | null;
  readonly timer: TimerProgram;
  /** Banks are opened in this many turns; 1 is all at once. */
  readonly turns: number;
  readonly stands: readonly LadderStand[];
  readonly injector: { readonly leastLph: number; readonly greatestLph: number } | null;
  /** The whole garden's water: litres a day wanted, what sources without a store can give, and what is stored. */
  /** The bank to follow the water to; the one whose plants are worst off, unless said. */
  readonly follow?: string;
  readonly garden: {
    readonly needLpd: number;
    readonly sourcesLpd: number;
    readonly storedL: number;
    readonly capacityL: number;
  };
}

export type RungVerdict = "ample" | "fits" | "tight" | "short" | "idle";

/** What a rung is of, with the figures that tell it. */
export type RungOf =
  | { readonly kind: "source" }
  | { readonly kind: "store"; /** null where nothing is drawn. */ readonly daysInHand: number | null }
  | { readonly kind: "pump"; readonly by: PressureBy; readonly liftM: number; readonly lifts: boolean }
  | { readonly kind: "injector"; readonly leastLph: number; readonly greatestLph: number }
  | { readonly kind: "main"; readonly boreMm: number; readonly lengthM: number; readonly lossM: number }
  | { readonly kind: "bank"; readonly stand: string; readonly linesOpen: number }
  | { readonly kind: "line"; readonly stand: string; readonly limited: boolean }
  | {
      readonly kind: "plant";
      readonly stand: string;
      readonly perPlantLph: number;
      readonly plants: number;
      readonly leastPlantShare: number;
    };
export type RungKind = RungOf["kind"];

/** Something that would ease a rung, worked out. */
export type Ease =
  | { readonly kind: "unmet-without-store"; readonly litresPerDay: number }
  | { readonly kind: "spare-the-store" }
  | { readonly kind: "more-turns"; readonly turns: number; readonly flowLph: number | null }
  | { readonly kind: "less-lift"; readonly lessM: number; readonly gainLph: number }
  | { readonly kind: "wider-riser"; readonly boreMm: number; readonly gainLph: number }
  | { readonly kind: "open-together"; readonly stand: string }
  | { readonly kind: "wider-main" }
  | { readonly kind: "own-turn" }
  | { readonly kind: "longer-timer"; readonly minutes: number };

/** One step of the water's way: what it can give against what is needed, in one unit. */
export type Rung = RungOf & {
  readonly canGive: number;
  readonly needs: number;
  readonly dimension: Dimension;
  /** canGive ÷ needs; Infinity where nothing is wanted. */
  readonly ratio: number;
  readonly verdict: RungVerdict;
  readonly eases: readonly Ease[];
};

export interface Ladder {
  readonly rungs: readonly Rung[];
  /** Of the bank that the water is followed to; null where nothing is piped. */
  readonly followed: string | null;
  /** Index of the rung with the least to spare; null where the loop needs nothing. */
  readonly tightest: number | null;
  readonly wantedFlowLph: number;
  readonly pumpFlowLph: number;
  readonly runMinutesPerDay: number;
}

/** Days of the garden's need that a store should hold before it counts as tight. */
export const STORE_DAYS = 14;

/**
 * Follows the water from source to plant and says at each rung what is wanted and what is there.
 *
 * @returns the rungs in the order of the flow, the tightest of them, and the loop's flows
 * @throws RangeError for a figure or a timer out of range
 * @source the loop solved as a network (garden/ladderPump), timer.ts
 */
export function ladder(input: LadderInput): Ladder {
  requireLadderInput(input);
  const totalLph = input.stands.reduce((sum, stand) => sum + stand.lines * stand.lineFlowLph, 0);
  const wantedFlowLph = input.pump?.wantedLph ?? totalLph / input.turns;
  const pumpFlowLph = input.pump?.flowLph ?? 0;
  const minutes = timerMinutes(input.timer);
  const plumbed = input.stands.filter((stand) => stand.lineFlowLph > 0);
  const ends = plumbed.map((stand) => plantRung(stand, input, minutes)).sort((a, b) => a.rung.ratio - b.rung.ratio);
  const worst = ends.find(({ stand }) => stand.key === input.follow) ?? ends[0];
  const rungs: Rung[] = [
    sourceRung(input),
    // Without a store there is nothing to last.
    ...(input.garden.capacityL > 0 ? [storeRung(input)] : []),
    ...(input.pump ? [pumpRung(input.pump, input.turns, totalLph)] : []),
    ...(input.injector ? [injectorRung(input.injector, plumbed, wantedFlowLph)] : []),
    ...(input.pump && wantedFlowLph > 0 ? [mainRung(input.pump)] : []),
    ...(input.pump && worst ? [bankRung(worst.stand, input.pump.banks > input.turns), lineRung(worst.stand)] : []),
    ...(worst ? [worst.rung] : []),
  ];
  const wanting = rungs.map((rung, index) => ({ rung, index })).filter(({ rung }) => rung.verdict !== "idle");
  const tightest = wanting.sort((a, b) => a.rung.ratio - b.rung.ratio)[0]?.index ?? null;
  return {
    rungs,
    followed: worst?.stand.key ?? null,
    tightest,
    wantedFlowLph,
    pumpFlowLph,
    runMinutesPerDay: minutes,
  };
}

function requireLadderInput({ drainShare, turns, stands, pump, injector, garden }: LadderInput): void {
  requireRange("ladder", "drainShare", drainShare, 0, 0.95);
  requireWhole("ladder", "turns", turns, 1, 1000);
  for (const stand of stands)
    requireFigures("ladder", stand, {
      lines: [0, 1_000_000, "whole"],
      lineFlowLph: [0, 1_000_000],
      linesPerValve: [1, 1_000_000, "whole"],
      sitesPerLine: [0, 1_000_000, "whole"],
      share: [0, GREATEST],
      leastPlantShare: [0, 1],
      plants: [0, GREATEST],
      needLpd: [0, GREATEST],
    });
  if (pump) requirePump(pump);
  if (injector)
    requireFigures("ladder", injector, { leastLph: [0, GREATEST], greatestLph: [injector.leastLph, GREATEST] });
  const litres = [0, GREATEST] as const;
  requireFigures("ladder", garden, { needLpd: litres, sourcesLpd: litres, storedL: litres, capacityL: litres });
}

function requirePump({ main, lessLift, widerPipe, by: _by, ...pump }: LadderPump): void {
  const [flow, head] = [[0, GREATEST] as const, [-1000, 1000] as const];
  requireFigures("ladder", pump, { flowLph: flow, wantedLph: flow, liftM: head, banks: [0, 1_000_000, "whole"] });
  requireFigures("ladder", main, {
    boreMm: [0, 2000],
    lengthM: flow,
    lossM: flow,
    headThereM: head,
    neededM: [-1000, GREATEST],
  });
  if (lessLift) requireFigures("ladder", lessLift, { lessM: [0, 1000], gainLph: flow });
  if (widerPipe) requireFigures("ladder", widerPipe, { boreMm: [0, 2000], gainLph: flow });
}

function rung(parts: RungOf & Pick<Rung, "canGive" | "needs" | "dimension" | "eases">): Rung {
  const ratio = parts.needs > 0 ? parts.canGive / parts.needs : Infinity;
  const verdict =
    parts.needs <= 0 ? "idle" : ratio < 1 - 1e-9 ? "short" : ratio < 1.1 ? "tight" : ratio <= 1.5 ? "fits" : "ample";
  return { ...parts, ratio, verdict };
}

function sourceRung({ garden }: LadderInput): Rung {
  const unmetLpd = Math.max(0, garden.needLpd - garden.sourcesLpd);
  return rung({
    kind: "source",
    canGive: garden.sourcesLpd + Math.min(garden.storedL, garden.needLpd),
    needs: garden.needLpd,
    dimension: "volume",
    eases: unmetLpd > 0 ? [{ kind: "unmet-without-store", litresPerDay: unmetLpd }] : [],
  });
}

function storeRung({ garden }: LadderInput): Rung {
  return rung({
    kind: "store",
    daysInHand: garden.needLpd > 0 ? Math.floor(garden.storedL / garden.needLpd) : null,
    canGive: garden.storedL,
    needs: STORE_DAYS * garden.needLpd,
    dimension: "volume",
    eases: garden.storedL < STORE_DAYS * garden.needLpd ? [{ kind: "spare-the-store" }] : [],
  });
}

function pumpRung(
  { by, flowLph, wantedLph, liftM, banks, lessLift, widerPipe }: LadderPump,
  turns: number,
  totalLph: number,
): Rung {
  const eases: Ease[] = [];
  if (flowLph < wantedLph) {
    const moreTurns = flowLph > 0 ? Math.ceil(totalLph / flowLph) : null;
    // Turns are taken by banks: of one alone there is none.
    if (moreTurns && moreTurns > turns && moreTurns <= banks)
      eases.push({ kind: "more-turns", turns: moreTurns, flowLph: totalLph / moreTurns });
    if (lessLift) eases.push({ kind: "less-lift", ...lessLift });
    if (widerPipe) eases.push({ kind: "wider-riser", ...widerPipe });
  }
  return rung({
    kind: "pump",
    by,
    liftM,
    lifts: flowLph > 0,
    canGive: flowLph,
    needs: wantedLph,
    dimension: "flow",
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
  const parts = { kind: "injector" as const, ...injector, dimension: "flow" as const };
  if (above || !belowAlone)
    return rung({
      ...parts,
      canGive: injector.greatestLph,
      needs: wantedLph,
      eases: above ? [{ kind: "more-turns", turns: Math.ceil(wantedLph / injector.greatestLph), flowLph: null }] : [],
    });
  return rung({
    ...parts,
    canGive: least.flow,
    needs: injector.leastLph,
    eases: [{ kind: "open-together", stand: least.stand.name }],
  });
}

function mainRung({ liftM, main: { boreMm, lengthM, lossM, headThereM, neededM } }: LadderPump): Rung {
  return rung({
    kind: "main",
    boreMm,
    lengthM,
    lossM,
    canGive: Math.max(0, headThereM),
    needs: Math.max(0.01, neededM),
    dimension: "length",
    eases: lossM > Math.max(0, liftM) ? [{ kind: "wider-main" }] : [],
  });
}

function bankRung(stand: LadderStand, hasOthers: boolean): Rung {
  const largest = Math.max(...bankFlows(stand));
  return rung({
    kind: "bank",
    stand: stand.name,
    linesOpen: Math.min(stand.linesPerValve, stand.lines),
    canGive: largest * stand.share,
    needs: largest,
    dimension: "flow",
    eases: stand.share < 1 && hasOthers ? [{ kind: "own-turn" }] : [],
  });
}

function lineRung(stand: LadderStand): Rung {
  return rung({
    kind: "line",
    stand: stand.name,
    limited: stand.limited,
    canGive: stand.lineFlowLph * stand.share,
    needs: stand.lineFlowLph,
    dimension: stand.limited ? "flow" : "lineFlow",
    eases: [],
  });
}

function plantRung(stand: LadderStand, input: LadderInput, minutes: number): { stand: LadderStand; rung: Rung } {
  const minutesOwn = minutes / input.turns;
  const perPlantLph = stand.sitesPerLine > 0 ? (stand.lineFlowLph * stand.share) / stand.sitesPerLine : 0;
  const leastLph = perPlantLph * stand.leastPlantShare;
  const given = (leastLph * minutesOwn) / 60;
  const need = stand.plants > 0 ? stand.needLpd / stand.plants / (1 - input.drainShare) : 0;
  const moreMinutes = leastLph > 0 ? Math.ceil(((need - given) / leastLph) * 60) : 0;
  return {
    stand,
    rung: rung({
      kind: "plant",
      stand: stand.name,
      perPlantLph,
      plants: stand.plants,
      leastPlantShare: stand.leastPlantShare,
      canGive: given,
      needs: need,
      dimension: "volume",
      eases: given < need && moreMinutes > 0 ? [{ kind: "longer-timer", minutes: moreMinutes }] : [],
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
