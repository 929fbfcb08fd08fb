export { RightStation as default } from "~/app/features/job/right/right-station";
