export { SignOff as default } from "~/app/features/job/stations/sign-off";
