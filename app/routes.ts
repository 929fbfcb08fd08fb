import { index, prefix, type RouteConfig, route } from "@react-router/dev/routes";

export default [
  index("routes/floor/route.tsx"),
  route("sign-in", "routes/sign-in/route.tsx"),
  route("sign-out", "routes/sign-out.ts"),
  route("room", "routes/room.ts"),
  route("machines/:machineId", "routes/machine/route.tsx"),
  ...prefix("jobs/:jobId", [
    route("entries", "routes/job/entries.ts"),
    route("draft", "routes/job/draft.ts"),
    route("", "routes/job/route.tsx", [route(":station?", "routes/job/station.tsx")]),
  ]),
  route("machines/:machineId/corrections", "routes/machine/corrections.ts"),
  route("status", "routes/status.tsx"),
] satisfies RouteConfig;
