import { ReadingStation } from "~/app/features/job/read/reading-station";

export default function SetStation() {
  return <ReadingStation phase="set" />;
}
