import { DRIP_BEDS, WICKING_BED, type DripBeds, type WickingBed } from "./beds";
import { BUCKET_LINE, type BucketLine } from "./buckets";
import { CHANNEL_BANK, type ChannelBank } from "./channelBank";
import { FLOOD_BENCH, MEDIA_BED, type FloodBenches, type MediaBed } from "./floodAndMedia";
import type { StandModel } from "./model";
import { RAFT_POND, type RaftPond } from "./raftPond";
import { SHOOTS_RACK, TRAY_RACK, type ShootsRack, type TrayRack } from "./racks";
import { TOWER_ROW, type TowerRow } from "./towerRow";

export type StandSpec =
  | ChannelBank
  | DripBeds
  | RaftPond
  | BucketLine
  | TowerRow
  | FloodBenches
  | MediaBed
  | WickingBed
  | TrayRack
  | ShootsRack;
export type StandKind = StandSpec["kind"];
type SpecOf<Kind extends StandKind> = Extract<StandSpec, { readonly kind: Kind }>;

/** Every kind of stand. */
export const STAND_MODELS: { readonly [Kind in StandKind]: StandModel<SpecOf<Kind>> } = {
  "channel-bank": CHANNEL_BANK,
  "drip-beds": DRIP_BEDS,
  "raft-pond": RAFT_POND,
  "bucket-line": BUCKET_LINE,
  towers: TOWER_ROW,
  "flood-bench": FLOOD_BENCH,
  "media-bed": MEDIA_BED,
  "wicking-bed": WICKING_BED,
  "tray-rack": TRAY_RACK,
  "shoots-rack": SHOOTS_RACK,
};

export const STAND_KINDS = Object.keys(STAND_MODELS) as readonly StandKind[];

/** The model of a stand's kind. */
export function modelOf<Spec extends StandSpec>(spec: Spec): StandModel<Spec> {
  // The table holds for each kind the model of its own specification.
  return STAND_MODELS[spec.kind] as unknown as StandModel<Spec>;
}

/** A bank of channels that fall over supports, whose lines may be graded by zones; null for every other kind. */
export function channelBankOf(spec: StandSpec): ChannelBank | null {
  return spec.kind === "channel-bank" ? spec : null;
}
