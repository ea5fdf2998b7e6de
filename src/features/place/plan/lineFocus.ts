/** The line looked at. */
export interface LineFocus {
  readonly standId: number;
  readonly line: number;
}
