import { ReadingStation } from "~/app/features/job/read/reading-station";

export default function AsFound() {
  return <ReadingStation phase="as-found" />;
}
