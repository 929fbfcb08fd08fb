export { Prove as default } from "~/app/features/job/stations/prove";
