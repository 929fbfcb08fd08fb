export { MakeSafe as default } from "~/app/features/job/stations/make-safe";
