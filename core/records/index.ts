export type { AdjusterMeans } from "./adjuster-means";
export type { InstrumentId, JobId, MachineId, PersonId, StageId, StoreItemId, WorkshopId } from "./ids";
export type { Instrument, NewInstrument } from "./instrument";
export type { Job } from "./job";
export type { Machine, MachineFields, Units, UsageUnit } from "./machine";
export type { Person, Preferences, ReadFirst, Role, SignAsks } from "./person";
export type {
  ClampPattern,
  Geometry,
  GivenLimits,
  SideLimits,
  SourceKind,
  Stage,
  StageAdjuster,
  StageLimits,
  TurnedBy,
} from "./stage";
export type { StoreItem } from "./store-item";
