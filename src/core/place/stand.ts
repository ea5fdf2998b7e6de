import { STAND_MODELS, type StandSpec } from "./kinds";

export type { StandKind, StandSpec } from "./kinds";
export type { ChannelBank } from "./kinds/channelBank";
export type { DripBeds, WickingBed } from "./kinds/beds";
export type { BucketLine } from "./kinds/buckets";
export type { TrayRack, ShootsRack } from "./kinds/racks";
export type { TowerRow } from "./kinds/towerRow";

/** A stand where it is: corner in the house, turned a quarter or not. */
export interface PlacedStand {
  readonly id: number;
  readonly name: string;
  readonly xM: number;
  readonly yM: number;
  readonly turned: boolean;
  readonly spec: StandSpec;
}

/** More than one of a word: channels, benches. */
export const plural = (word: string) => `${word}${/(?:ch|s|x)$/u.test(word) ? "es" : "s"}`;

/** What a kind, its lines and its sites are called. */
export const kindWords = (kind: StandSpec["kind"]) => STAND_MODELS[kind].words;
