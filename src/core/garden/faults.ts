import { ionBalance, type IonBalance } from "../feed/ionBalance";
import { stockConflict, type StockConflict } from "../feed/stocks";
import { inStock, STOCK_LETTERS, type StockLetter, type StockPlace } from "../feed/salts";
import { houseClashes, type HouseClash } from "../place/houseChecks";
import { standCounts } from "../place/standCounts";
import { risesAt } from "../water/pumpCurve";
import type { Changes, Tables } from "./changes";
import type { BatchPlace, House, Loop, SaltRow, Source, Stand } from "./garden";

/** What is wrong with a garden that joins several rows. */
export type GardenFault =
  | { readonly kind: "no-plant-fits"; readonly stand: number }
  | { readonly kind: "clash"; readonly house: number; readonly clash: HouseClash }
  | {
      readonly kind: "stock-conflict";
      readonly recipe: number;
      readonly letter: StockLetter;
      readonly conflict: StockConflict;
    }
  | { readonly kind: "pump-rises"; readonly loop: number; readonly point: number }
  | { readonly kind: "ions-out"; readonly source: number; readonly balance: IonBalance }
  /** Two kept places share sites on some of their days. */
  | { readonly kind: "places-meet"; readonly places: readonly [BatchPlace, BatchPlace] };

/** What changes make wrong in a garden that was not wrong before: what is old does not keep anybody from saving. */
export function newFaults(before: Tables, after: Tables, changes: Changes): GardenFault[] {
  const old = new Set(faultsOf(before, changes).map(nameOf));
  return faultsOf(after, changes).filter((fault) => !old.has(nameOf(fault)));
}

/** The same fault has the same name, wherever its stands are moved to. */
function nameOf(fault: GardenFault): string {
  if (fault.kind === "no-plant-fits") return `${fault.kind} ${fault.stand}`;
  if (fault.kind === "pump-rises") return `${fault.kind} ${fault.loop}`;
  if (fault.kind === "ions-out") return `${fault.kind} ${fault.source}`;
  if (fault.kind === "places-meet") return `${fault.kind} ${fault.places.map(({ id }) => id).join()}`;
  if (fault.kind === "clash") return `${fault.clash.kind} ${[...fault.clash.stands].sort((a, b) => a - b).join()}`;
  return `${fault.kind} ${fault.recipe} ${fault.letter} ${fault.conflict.salts.join()}`;
}

const touchedIds = (changes: Changes, entity: string): number[] =>
  [...Object.keys(changes[entity]?.added ?? {}), ...Object.keys(changes[entity]?.updated ?? {})].map(Number);

/** Faults of what the changes touch. */
function faultsOf(tables: Tables, changes: Changes): GardenFault[] {
  const stands = Object.values(tables.stand ?? {}) as unknown as Stand[];
  const houses = (tables.house ?? {}) as unknown as Readonly<Record<number, House>>;
  const touched = new Set(touchedIds(changes, "stand"));
  const standing = stands.filter(({ id }) => touched.has(id));
  const near = new Set([...touchedIds(changes, "house"), ...standing.map(({ houseId }) => houseId)]);
  return [
    ...standing
      .filter(({ spec }) => standCounts(spec).sites === 0)
      .map(({ id }): GardenFault => ({ kind: "no-plant-fits", stand: id })),
    ...[...near].flatMap((id): GardenFault[] =>
      houses[id]
        ? houseClashes(
            houses[id],
            stands.filter(({ houseId }) => houseId === id),
          ).map((clash) => ({ kind: "clash", house: id, clash }))
        : [],
    ),
    ...recipesTouched(tables, changes).flatMap((recipe) => recipeFaults(tables, recipe)),
    ...touchedIds(changes, "loop").flatMap((id) => pumpFaults(tables, id)),
    ...touchedIds(changes, "source").flatMap((id) => sourceFaults(tables, id)),
    ...placeFaults(tables, new Set(touchedIds(changes, "batch_place"))),
  ];
}

/** An analysis is wrong in itself unless somebody said to keep it so. */
function sourceFaults(tables: Tables, id: number): GardenFault[] {
  const source = tables.source?.[id] as unknown as Source | undefined;
  if (!source || source.balanceDoubted) return [];
  const balance = ionBalance(source);
  return balance.verdict === "out" ? [{ kind: "ions-out", source: id, balance }] : [];
}

function placeFaults(tables: Tables, touched: ReadonlySet<number>): GardenFault[] {
  if (touched.size === 0) return [];
  const byLine = new Map<string, BatchPlace[]>();
  for (const place of Object.values(tables.batch_place ?? {}) as unknown as BatchPlace[]) {
    const line = `${place.standId}/${place.line}`;
    byLine.set(line, [...(byLine.get(line) ?? []), place]);
  }
  const meet = (a: BatchPlace, b: BatchPlace) =>
    a.from < b.to && b.from < a.to && a.firstSite < b.firstSite + b.sites && b.firstSite < a.firstSite + a.sites;
  return [...byLine.values()].flatMap((places) =>
    places.flatMap((one, at) =>
      places
        .slice(at + 1)
        .filter((other) => (touched.has(one.id) || touched.has(other.id)) && meet(one, other))
        .map((other): GardenFault => ({ kind: "places-meet", places: [one, other] })),
    ),
  );
}

function pumpFaults(tables: Tables, id: number): GardenFault[] {
  const loop = tables.loop?.[id] as unknown as Loop | undefined;
  const point = loop?.pump?.kind === "table" ? risesAt(loop.pump.points) : null;
  return point === null ? [] : [{ kind: "pump-rises", loop: id, point }];
}

function recipesTouched(tables: Tables, changes: Changes): number[] {
  const own = touchedIds(changes, "recipe_salt").flatMap((id) => {
    const row = tables.recipe_salt?.[id];
    return row ? [Number(row.recipeId)] : [];
  });
  return [...new Set(own)];
}

function recipeFaults(tables: Tables, recipe: number): GardenFault[] {
  const salts = Object.values(tables.recipe_salt ?? {}).filter(({ recipeId }) => recipeId === recipe);
  return STOCK_LETTERS.flatMap((letter): GardenFault[] => {
    const own = salts
      .filter(({ stock }) => inStock(stock as StockPlace, letter) > 0)
      .flatMap(({ saltId }) => (tables.salt?.[Number(saltId)] as unknown as SaltRow | undefined) ?? []);
    const conflict = stockConflict(own);
    return conflict ? [{ kind: "stock-conflict", recipe, letter, conflict }] : [];
  });
}
