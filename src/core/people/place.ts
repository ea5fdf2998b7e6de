/** What a place says of a garden there: all of it to be changed. */
export interface PlaceProposal {
  readonly label: string;
  readonly latitudeDeg: number;
  readonly timeZone: string;
  readonly unitSystem: "metric" | "us";
  /** Null where it is not known how prices are written there. */
  readonly currency: string | null;
}

/** So many places are offered at once. */
export const SHOWN_PLACES = 8;
