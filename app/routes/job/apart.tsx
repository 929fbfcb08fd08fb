export { ApartStation as default } from "~/app/features/job/apart/apart-station";
