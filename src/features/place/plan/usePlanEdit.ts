import { toast } from "sonner";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { clashOf } from "@/core/place/houseChecks";
import { snapped, type Guide } from "@/core/place/layout/snap";
import { standFootprint } from "@/core/place/standLayout";
import { HOUSE, STAND } from "@/core/garden/entities/place";
import { undoAct } from "@/server/history/actions";
import { addStands, removeStand, saveHouse, saveStand } from "@/server/place/actions";
import { formValues } from "@/features/frame/form/formValues";
import type { House } from "@/core/garden/garden";
import type { Stand } from "@/core/garden/garden";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/features/frame/useCommand";
import { clashWords } from "../words";
import { useNewest } from "./useNewest";
import { freeSpot, nextName, sameSpot } from "./standMoves";

/** A change of a stand on the drawing: its place, direction and size. */
export type Changed = Partial<Pick<Stand, "xM" | "yM" | "turned" | "spec">>;

export interface PlanEdit {
  readonly selected: number | null;
  readonly select: (id: number | null) => void;
  /** The stand that is being moved as it would be, with what would be wrong there. */
  readonly inHand: Stand | null;
  readonly clash: string | null;
  readonly guides: readonly Guide[];
  readonly pickUp: (id: number) => void;
  readonly hold: (change: Changed, reachM?: number) => void;
  readonly drop: () => Promise<void>;
  readonly cancel: () => void;
  /** Saves a change at once. @returns why not, or null */
  readonly change: (id: number, change: Changed | ((now: Stand) => Changed)) => Promise<string | null>;
  readonly duplicate: (id: number) => Promise<void>;
  readonly remove: (id: number) => Promise<void>;
  readonly undo: () => Promise<void>;
  readonly canUndo: boolean;
  readonly busy: boolean;
  readonly changeHouse: (house: House, spot: Pick<House, "xM" | "yM" | "lengthM" | "widthM">) => Promise<void>;
}

const NO_GUIDES: readonly Guide[] = [];

/** Editing a plan on the drawing. What is in hand is only drawn; putting it down saves it, and every save can be undone. */
export function usePlanEdit(stands: readonly Stand[], houses: readonly House[]): PlanEdit {
  const units = useUnits();
  const [selected, select] = useState<number | null>(null);
  const [hand, setHand] = useState<{ readonly stand: Stand; readonly guides: readonly Guide[] } | null>(null);
  const inHand = hand?.stand ?? null;
  const acts = useRef<readonly string[]>([]);
  const [canUndo, setCanUndo] = useState(false);
  /** One after the other: what is put down or undone while a save is under way builds on what that save made. */
  const underWay = useRef<Promise<unknown>>(Promise.resolve());
  const inTurn = <Value>(work: () => Promise<Value>): Promise<Value> => {
    const turn = underWay.current.then(work);
    underWay.current = turn.catch(() => undefined);
    return turn;
  };
  const save = useCommand(saveStand, { done: "Saved" });
  const add = useCommand(addStands, { done: "Added" });
  const house = useCommand(saveHouse, { done: "House saved" });
  const removing = useCommand(removeStand, { done: "Deleted" });
  const undoing = useCommand(undoAct, { done: "Undone", undo: false });
  const houseOf = useCallback((stand: Stand) => houses.find(({ id }) => id === stand.houseId)!, [houses]);
  const others = useCallback(
    (stand: Stand) => stands.filter((one) => one.houseId === stand.houseId && one.id !== stand.id),
    [stands],
  );
  const clash = useMemo(() => {
    const found = inHand && clashOf(houseOf(inHand), inHand, others(inHand));
    return found ? clashWords(found, units) : null;
  }, [inHand, houseOf, others, units]);
  const setActs = (now: readonly string[]) => {
    acts.current = now;
    setCanUndo(now.length > 0);
  };
  const did = (act: string | undefined) => {
    if (act) setActs([...acts.current, act]);
  };
  async function undoLast() {
    const act = acts.current.at(-1);
    if (!act) return;
    setHand(null);
    const result = await undoing.run({ act });
    // One that cannot be undone does not block those before it.
    if (result.ok || result.status === 409) setActs(acts.current.filter((one) => one !== act));
    standRows.forget();
    houseRows.forget();
  }
  // What was put down is drawn until the page knows it too; what is taken up or moved again meanwhile stays in hand.
  const settled = useRef<string | null>(null);
  const standRows = useNewest(stands);
  const houseRows = useNewest(houses);
  useEffect(() => {
    if (settled.current === null || !inHand) return;
    const now = stands.find(({ id }) => id === inHand.id);
    if (now && JSON.stringify(now) !== settled.current) {
      settled.current = null;
      setHand(null);
    }
  }, [stands, inHand]);
  const standOf = standRows.newest;
  /** @returns why not, or null when it is saved */
  function write(seen: Stand, change: Changed | ((now: Stand) => Changed)): Promise<string | null> {
    settled.current = JSON.stringify(stands.find(({ id }) => id === seen.id));
    return inTurn(() => writeNow(seen, change));
  }
  async function writeNow(seen: Stand, wanted: Changed | ((now: Stand) => Changed)): Promise<string | null> {
    const before = standOf(seen.id) ?? seen;
    const change = typeof wanted === "function" ? wanted(before) : wanted;
    if (sameSpot(before, { ...before, ...change })) return null;
    const result = await save.run({ ...formValues(STAND, before), ...change });
    if (!result.ok) {
      // What was saved last may have been undone meanwhile: the next try builds on the page.
      standRows.forget();
      settled.current = null;
      setHand(null);
      return Object.values(result.fields)[0] ?? result.message;
    }
    standRows.keep({ ...before, ...change });
    did(result.act);
    return null;
  }
  return {
    selected,
    select,
    inHand,
    clash,
    guides: hand?.guides ?? NO_GUIDES,
    pickUp: (id) => {
      const stand = inHand?.id === id ? inHand : standOf(id);
      if (!stand) return;
      settled.current = null;
      select(id);
      setHand({ stand, guides: NO_GUIDES });
    },
    hold: (change, reachM) => {
      settled.current = null;
      setHand((before) => {
        if (!before) return null;
        const next = { ...before.stand, ...change };
        if (reachM === undefined) return { stand: next, guides: NO_GUIDES };
        const found = snapped(standFootprint(next), houseOf(next), others(next).map(standFootprint), reachM);
        return { stand: { ...next, xM: found.xM, yM: found.yM }, guides: found.guides };
      });
    },
    drop: async () => {
      if (!inHand) return;
      // Put down already and being saved: it is taken up again.
      if (settled.current !== null) {
        settled.current = null;
        return;
      }
      const before = standOf(inHand.id);
      if (clash) {
        toast.error(`Not moved: ${clash}`);
        return setHand(null);
      }
      if (!before || sameSpot(before, inHand)) return setHand(null);
      setHand({ stand: inHand, guides: NO_GUIDES });
      const { xM, yM, turned, spec } = inHand;
      await write(before, { xM, yM, turned, spec });
    },
    cancel: () => setHand(null),
    change: async (id, change) => {
      const stand = standOf(id);
      return stand ? write(stand, change) : null;
    },
    duplicate: async (id) => {
      const stand = standOf(id);
      if (!stand) return;
      const spot = freeSpot(stand, houseOf(stand), [...others(stand), stand]);
      const { houseId, growingAreaId, loopId, turned, groundM, spec } = stand;
      const copy = { houseId, growingAreaId, loopId, turned, groundM, spec };
      const name = nextName(stand.name, [...others(stand), stand]);
      const result = await inTurn(() => add.run({ stands: [{ ...copy, ...spot, name }] }));
      if (result.ok) did(result.act);
    },
    remove: async (id) => {
      const result = await inTurn(() => removing.run({ id }));
      if (!result.ok) return;
      setHand(null);
      select(null);
      did(result.act);
    },
    undo: () => inTurn(undoLast),
    canUndo,
    changeHouse: (row, spot) =>
      inTurn(async () => {
        const before = houseRows.newest(row.id) ?? row;
        const result = await house.run({ ...formValues(HOUSE, before), ...spot });
        if (!result.ok) return houseRows.forget();
        houseRows.keep({ ...before, ...spot });
        did(result.act);
      }),
    busy: house.busy || save.busy || add.busy || removing.busy || undoing.busy,
  };
}
