import type { HouseView } from "@/core/garden/placeView";
import type { House } from "@/core/garden/garden";
import { houseClashes } from "@/core/place/houseChecks";

/** The houses with one of them as it is typed: its own walls, and what then reaches out of them. */
export function withDraft(houses: readonly HouseView[], draft: House | null): readonly HouseView[] {
  if (!draft) return houses;
  const drawn = (view: HouseView): HouseView => ({
    ...view,
    house: draft,
    clashes: houseClashes(
      draft,
      view.stands.map(({ stand }) => stand),
    ),
  });
  if (houses.some(({ house }) => house.id === draft.id))
    return houses.map((view) => (view.house.id === draft.id ? drawn(view) : view));
  return [...houses, { house: draft, stands: [], clashes: [], narrow: [] }];
}
