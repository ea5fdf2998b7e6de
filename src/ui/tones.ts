/**
 * Tones for varieties: steps of leaf green and its neighbours, light and dark in turn so that neighbours in a list differ
 * in grey too. They are never the only sign: names and shapes say the same.
 */
const TONES = [
  "#326b36",
  "#93ab57",
  "#2f6f63",
  "#a9bf8c",
  "#4f5f24",
  "#6f9a78",
  "#1f4d3a",
  "#b3b06a",
  "#557f2e",
  "#7fae9c",
];
const DARK = new Set(["#326b36", "#2f6f63", "#4f5f24", "#1f4d3a", "#557f2e"]);

export function toneOf(index: number): string {
  return TONES[((index % TONES.length) + TONES.length) % TONES.length]!;
}

/** Ink that can be read on a tone. */
export function inkOn(tone: string): string {
  return DARK.has(tone) ? "#fffdf6" : "#14201c";
}
