/** Every sheet of a garden, and the views of those that change most: what looks at all of them takes them from here. */
export const SHEETS: readonly string[] = [
  ...["/round", "/round?item=mix%3A2%3AB", "/round?item=reading%3A1", "/round/log"],
  ...["fit", "water", "tank", "sow", "week", "pump"].map((question) => `/round/answers?q=${question}`),
  ...["/place", "/place?view=garden", "/place/print", "/place?whatif=1", "/place/setup"],
  ...["/place/bench", "/place/bench?part=supports", "/place/bench?part=materials"],
  ...["/water", "/water?loop=2", "/water/lines", "/water/pump", "/water/pump?loop=2", "/water/supply"],
  ...["/water/quality", "/water/quality?loop=3"],
  ...[
    "/feed",
    "/feed/stocks",
    "/feed/stocks?loop=3",
    "/feed/injector",
    "/feed/strength",
    "/feed/strength?loop=2",
    "/feed/change",
    "/feed/change?loop=3",
    "/feed/shelf",
  ],
  ...["/feed/solve", "/feed/solve?loop=2&salts=shelf"],
  ...["/growth", "/growth/sowing", "/growth/climate", "/growth/climate?house=0"],
  ...["/batches", "/batches/orders", "/batches/balance", "/batches/what-if"],
  ...["/people", "/people/garden", "/people/history", "/people/history?at=access", "/people/you", "/people/examples"],
];
