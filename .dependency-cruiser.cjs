/** The doors between the rooms: a room may import only these, besides itself. */
const below = "^core/(quantity|numerics)/";
const shared = "^core/(quantity|numerics|statistics|reference)/";
const elements =
  "gears|worms|bevels|planetary|belts|chains|trains|fastening|stacks|stores|couplings|prints|shifting|making|guides|greasing|axes|sound";

const door = (name, from, allowed, extra = {}) => ({
  name,
  severity: "error",
  from: { path: from, pathNot: "\\.test\\.tsx?$", ...(extra.from ?? {}) },
  to: {
    path: "^(core|calc|data|operations|server|ui|app|workers|scripts|demo|tests)/",
    pathNot: allowed,
    ...(extra.to ?? {}),
  },
});

module.exports = {
  forbidden: [
    { name: "no circles", severity: "error", from: {}, to: { circular: true, dependencyTypesNot: ["type-only"] } },
    door("quantity stands alone", "^core/quantity/", "^core/quantity/"),
    door("numerics stands alone", "^core/numerics/", "^core/numerics/"),
    door("statistics and reference", "^core/(statistics|reference)/", [below, "^core/(statistics|reference)/"]),
    door("schemas", "^core/schemas/", "^core/schemas/"),
    door("drawing", "^core/drawing/", [below, "^core/drawing/"]),
    ...elements.split("|").map((e) => door(`element ${e}`, `^core/${e}/`, [shared, `^core/(${e}|schemas)/`])),
    door("stages", "^core/stages/", [shared, `^core/(${elements}|schemas|drawing|stages)/`]),
    {
      name: "schemas are for schemas",
      severity: "error",
      from: { path: "^core/", pathNot: "(^core/schemas/|^core/records/|/schema\\.ts$|\\.test\\.ts$)" },
      to: { path: "(^core/schemas/|^core/records/|^core/.*/schema\\.ts$)", dependencyTypesNot: ["type-only"] },
    },
    door("rounds and limits", "^core/(rounds|limits)/", [shared, `^core/(${elements}|stages|rounds|limits)/`]),
    door("shafts", "^core/shafts/", [shared, "^core/(limits|stacks|guides|schemas|shafts)/"]),
    door("frames", "^core/frames/", [shared, "^core/(limits|frames)/"]),
    door("symptoms", "^core/symptoms/", [shared, `^core/(${elements}|stages|limits|proving|schemas|symptoms)/`]),
    door("plan", "^core/plan/", [shared, "^core/(logbook|plan)/"]),
    door("proving", "^core/proving/", [shared, `^core/(${elements}|stages|limits|schemas|proving)/`]),
    door("advice, practice, logbook", "^core/(advice|practice|logbook)/", "^core/"),
    door("calc", "^calc/", ["^calc/", "^core/"]),
    door("data", "^data/", ["^data/", "^core/"]),
    door("operations", "^operations/", ["^operations/", "^core/", "^calc/", "^data/"]),
    door("ui", "^ui/", ["^ui/", "^core/quantity/"]),
    door("app", "^app/", ["^app/", "^ui/", "^core/", "^calc/", "^operations/", "^data/", "^workers/"]),
    {
      name: "app reads data in .server files only",
      severity: "error",
      from: { path: "^app/", pathNot: "\\.server\\.tsx?$" },
      to: { path: "^data/", dependencyTypesNot: ["type-only"] },
    },
    door("workers", "^workers/", ["^workers/", "^core/", "^calc/"]),
    door("demo", "^demo/", ["^demo/", "^core/"]),
    door("server", "^server/", ["^server/", "^data/", "^app/(session/request-context|background/[a-z-]+\\.server)"]),
    {
      name: "scripts take nothing from app",
      severity: "error",
      from: { path: "^scripts/" },
      to: { path: "^app/", dependencyTypesNot: ["type-only"] },
    },
    {
      name: "pg only in data",
      severity: "error",
      from: { pathNot: "^data/postgres/" },
      to: { path: "node_modules/pg/" },
    },
    {
      name: "core has no packages",
      severity: "error",
      from: {
        path: "^core/",
        pathNot: "(^core/schemas/|^core/records/|/schema\\.ts$|^core/sound/spectrum\\.ts$|\\.test\\.ts$)",
      },
      to: { dependencyTypes: ["npm", "npm-dev", "core"] },
    },
    {
      name: "schemas are made of zod alone",
      severity: "error",
      from: { path: "(^core/schemas/|^core/records/|^core/.*/schema\\.ts$)" },
      to: { dependencyTypes: ["npm", "npm-dev", "core"], pathNot: "node_modules/zod/" },
    },
    {
      name: "spectra are made by the one package for it",
      severity: "error",
      from: { path: "^core/sound/spectrum\\.ts$" },
      to: { dependencyTypes: ["npm", "npm-dev", "core"], pathNot: "node_modules/fft\\.js/" },
    },
    { name: "resolvable", severity: "error", from: {}, to: { couldNotResolve: true, pathNot: "(\\+types|virtual:)" } },
  ],
  options: {
    doNotFollow: { path: "node_modules" },
    exclude: { path: "\\+types" },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    enhancedResolveOptions: {
      exportsFields: ["exports"],
      conditionNames: ["import", "require", "node", "default", "types"],
    },
  },
};
