import { index, prefix, type RouteConfig, route } from "@react-router/dev/routes";

export default [
  index("routes/floor/route.tsx"),
  route("sign-in", "routes/sign-in/route.tsx"),
  route("sign-out", "routes/sign-out.ts"),
  route("room", "routes/room.ts"),
  route("points", "routes/points.ts"),
  route("jobs", "routes/jobs/route.tsx"),
  route("jobs/open", "routes/jobs/open.ts"),
  ...prefix("jobs/:jobId", [
    route("entries", "routes/job/entries.ts"),
    route("draft", "routes/job/draft.ts"),
    route("", "routes/job/route.tsx", [route(":station?", "routes/job/station.tsx")]),
  ]),
  route("machines/new", "routes/machine-form/add.tsx"),
  ...prefix("machines/:machineId", [
    route("", "routes/machine/route.tsx"),
    route("kit", "routes/machine/kit.ts"),
    route("label", "routes/machine/label.tsx"),
    route("files", "routes/machine/files.ts"),
    route("corrections", "routes/machine/corrections.ts"),
    route("edit", "routes/machine-form/edit.tsx"),
    route("copy", "routes/machine-form/copy.tsx"),
    route("stages/new", "routes/stage-form/add.tsx"),
  ]),
  route("stages/:stageId/:what", "routes/stage-form/revise.tsx"),
  route("files/:entryId", "routes/file.ts"),
  route("status", "routes/status.tsx"),
] satisfies RouteConfig;
