export { LockUp as default } from "~/app/features/job/stations/lock-up";
