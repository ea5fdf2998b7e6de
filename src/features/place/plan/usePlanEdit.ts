import { toast } from "sonner";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import { clashOf } from "@/core/place/houseChecks";
import { snapped, type Guide } from "@/core/place/layout/snap";
import { standFootprint } from "@/core/place/standLayout";
import { inUnits } from "@/core/units/told";
import { undoAct } from "@/server/history/actions";
import type { House, Stand } from "@/server/place/queries";
import { useUnits } from "@/ui/units";
import { useCommand } from "@/ui/useCommand";
import type { PlanStore } from "./planStore";
import { freeSpot, nextName, sameSpot } from "./standMoves";

/** A change of a stand on the drawing: where it stands, which way, how large. */
export type Changed = Partial<Pick<Stand, "xM" | "yM" | "turned" | "spec">>;

export interface PlanEdit {
  readonly selected: number | null;
  readonly select: (id: number | null) => void;
  /** The stand in hand as it would be, with what would be wrong there. */
  readonly inHand: Stand | null;
  readonly clash: string | null;
  readonly guides: readonly Guide[];
  readonly take: (id: number) => void;
  readonly hold: (change: Changed, reachM?: number) => void;
  readonly putDown: () => Promise<void>;
  readonly letGo: () => void;
  /** Saves a change at once. @returns why not, or null */
  readonly change: (id: number, change: Changed) => Promise<string | null>;
  readonly duplicate: (id: number) => Promise<void>;
  readonly remove: (id: number) => Promise<void>;
  readonly undo: () => Promise<void>;
  readonly canUndo: boolean;
  readonly busy: boolean;
  readonly changeHouse: (house: House, spot: Pick<House, "xM" | "yM" | "lengthM" | "widthM">) => Promise<void>;
}

type Part = "stands" | "houses";

const WAIT_MS = 50;
const MOST_WAIT_MS = 5000;
const NO_GUIDES: readonly Guide[] = [];

/** Editing a plan on the drawing. What is in hand is only drawn; putting it down saves it, and every save can be undone. */
export function usePlanEdit(stands: readonly Stand[], houses: readonly House[], store: PlanStore): PlanEdit {
  const units = useUnits();
  const [selected, select] = useState<number | null>(null);
  const [hand, setHand] = useState<{ readonly stand: Stand; readonly guides: readonly Guide[] } | null>(null);
  const inHand = hand?.stand ?? null;
  const [acts, setActs] = useState<readonly string[]>([]);
  const save = useCommand(store.saveStand, { done: "Stand saved" });
  const add = useCommand(store.addStands, { done: "Stand added" });
  const house = useCommand(store.saveHouse, { done: "House saved" });
  const removing = useCommand(store.removeStand, { done: "Stand taken away" });
  const undoing = useCommand(undoAct, { done: "Taken back", undo: false });
  const houseOf = useCallback((stand: Stand) => houses.find(({ id }) => id === stand.houseId)!, [houses]);
  const others = useCallback((stand: Stand) => stands.filter((one) => one.houseId === stand.houseId && one.id !== stand.id), [stands]); // prettier-ignore
  const clash = useMemo(() => {
    const found = inHand && clashOf(houseOf(inHand), inHand, others(inHand));
    return found ? inUnits(found.message, units) : null;
  }, [inHand, houseOf, others, units]);
  const did = (act: string | undefined) => {
    if (act) setActs((before) => [...before, act]);
  };
  // What was put down is drawn until the page knows it too; what is taken up again meanwhile stays in hand.
  const settled = useRef<number | null>(null);
  const newest = useRef({ stands, houses });
  useEffect(() => {
    newest.current = { stands, houses };
    if (settled.current === null || !inHand) return;
    const now = stands.find(({ id }) => id === inHand.id);
    if (now && now.version !== settled.current) {
      settled.current = null;
      setHand(null);
    }
  }, [stands, houses, inHand]);
  const savedFrom = useRef(new Map<string, number>());
  const versionKey = (part: Part, id: number) => (store.oneVersion ? "" : `${part} ${id}`);

  /** The version to build on: a save of one's own that the page does not know yet is waited for. */
  async function version(part: Part, { id, version: own }: Stand | House): Promise<number> {
    const known = () => newest.current[part].find((row) => row.id === id)?.version ?? own;
    for (
      let waited = 0;
      waited < MOST_WAIT_MS && savedFrom.current.get(versionKey(part, id)) === known();
      waited += WAIT_MS
    )
      await new Promise((resolve) => setTimeout(resolve, WAIT_MS));
    return known();
  }

  /** @returns why not, or null when it is saved */
  async function write(stand: Stand): Promise<string | null> {
    const { position: _position, ...input } = stand;
    const from = await version("stands", stand);
    settled.current = from;
    const result = await save.run({ ...input, version: from });
    if (!result.ok) {
      settled.current = null;
      setHand(null);
      return Object.values(result.fields)[0] ?? result.message;
    }
    savedFrom.current.set(versionKey("stands", stand.id), from);
    did(result.act);
    return null;
  }
  const standOf = (id: number) => stands.find((stand) => stand.id === id);
  return {
    selected,
    select,
    inHand,
    clash,
    guides: hand?.guides ?? NO_GUIDES,
    take: (id) => {
      const stand = inHand?.id === id ? inHand : standOf(id);
      if (!stand) return;
      settled.current = null;
      select(id);
      setHand({ stand, guides: NO_GUIDES });
    },
    hold: (change, reachM) =>
      setHand((before) => {
        if (!before) return null;
        const next = { ...before.stand, ...change };
        if (reachM === undefined) return { stand: next, guides: NO_GUIDES };
        const found = snapped(standFootprint(next), houseOf(next), others(next).map(standFootprint), reachM);
        return { stand: { ...next, xM: found.xM, yM: found.yM }, guides: found.guides };
      }),
    putDown: async () => {
      if (!inHand) return;
      const before = standOf(inHand.id);
      if (clash) {
        toast.error(`Not moved: ${clash}`);
        return setHand(null);
      }
      if (!before || sameSpot(before, inHand)) return setHand(null);
      setHand({ stand: inHand, guides: NO_GUIDES });
      await write(inHand);
    },
    letGo: () => setHand(null),
    change: async (id, change) => {
      const stand = standOf(id);
      return stand ? write({ ...stand, ...change }) : null;
    },
    duplicate: async (id) => {
      const stand = standOf(id);
      if (!stand) return;
      const spot = freeSpot(stand, houseOf(stand), [...others(stand), stand]);
      const { id: _id, version: _version, position: _position, ...copy } = stand;
      const from = await version("stands", stand);
      const result = await add.run({ stands: [{ ...copy, ...spot, name: nextName(stand.name, [...others(stand), stand]) }] }); // prettier-ignore
      if (!result.ok) return;
      if (store.oneVersion) savedFrom.current.set(versionKey("stands", id), from);
      did(result.act);
    },
    remove: async (id) => {
      const stand = standOf(id);
      if (!stand) return;
      const from = await version("stands", stand);
      const result = await removing.run({ id, version: from });
      if (!result.ok) return;
      if (store.oneVersion) savedFrom.current.set(versionKey("stands", id), from);
      setHand(null);
      select(null);
      did(result.act);
    },
    undo: async () => {
      const act = acts.at(-1);
      if (!act) return;
      setHand(null);
      const result = await undoing.run({ act });
      // One that cannot be taken back does not stand in the way of those before it.
      if (result.ok || result.status === 409) setActs((before) => before.slice(0, -1));
    },
    canUndo: acts.length > 0,
    changeHouse: async (row, spot) => {
      const { position: _position, ...input } = row;
      const from = await version("houses", row);
      const result = await house.run({ ...input, ...spot, version: from });
      if (!result.ok) return;
      savedFrom.current.set(versionKey("houses", row.id), from);
      did(result.act);
    },
    busy: house.busy || save.busy || add.busy || removing.busy || undoing.busy,
  };
}
