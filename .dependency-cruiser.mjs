/** The house: floors, rooms, their order, and no circles. docs/architecture.md says why. */
const ROOMS = ["place", "water", "feed", "growth", "batches", "round", "people"];

/** A room of core may take from the rooms before it, and from what lies below all rooms. */
const roomOrder = ROOMS.map((room, index) => ({
  name: `core-${room}-before-later-rooms`,
  severity: "error",
  from: { path: `^src/core/${room}/`, pathNot: "\\.test\\.ts$" },
  to: { path: `^src/core/(?:garden|${ROOMS.slice(index + 1).join("|") || "none"})/` },
}));

/** Features of a room take from the others their words only. */
const featureRooms = ROOMS.map((room) => ({
  name: `features-${room}-by-itself`,
  severity: "error",
  from: { path: `^src/features/${room}/` },
  to: { path: "^src/features/", pathNot: `^src/features/(?:${room}|frame)/|^src/features/[^/]+/words\\.tsx?$` },
}));

export default {
  forbidden: [
    { name: "no-circles", severity: "error", from: { path: "^src/" }, to: { circular: true } },
    {
      name: "core-stands-alone",
      comment: "core imports core only: no interface, no server, no package but for numbers",
      severity: "error",
      from: { path: "^src/core/", pathNot: "\\.test\\.ts$" },
      to: { pathNot: "^src/core/|^node_modules/d3-random/" },
    },
    {
      name: "units-below-all",
      severity: "error",
      from: { path: "^src/core/(?:units|numeric)/", pathNot: "\\.test\\.ts$" },
      to: { path: "^src/core/", pathNot: "^src/core/(?:units|numeric)/" },
    },
    ...roomOrder,
    {
      name: "server-below-features",
      severity: "error",
      from: { path: "^src/server/" },
      to: { path: "^src/(?:app|features|ui)/" },
    },
    {
      name: "ui-knows-units-only",
      severity: "error",
      from: { path: "^src/ui/" },
      to: { path: "^src/", pathNot: "^src/ui/|^src/core/units/" },
    },
    {
      name: "features-below-app",
      severity: "error",
      from: { path: "^src/features/" },
      to: { path: "^src/app/" },
    },
    ...featureRooms,
    {
      name: "frame-below-rooms",
      severity: "error",
      from: { path: "^src/features/frame/" },
      to: { path: "^src/features/", pathNot: "^src/features/frame/|^src/features/[^/]+/words\\.ts$" },
    },
    {
      name: "jobs-call-core",
      severity: "error",
      from: { path: "^src/jobs/" },
      to: { path: "^src/(?:app|features|ui)/" },
    },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    includeOnly: "^(?:src|node_modules)/",
    tsConfig: { fileName: "tsconfig.json" },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "require", "node", "default"] },
  },
};
