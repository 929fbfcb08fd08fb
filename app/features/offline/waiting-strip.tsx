import { later, useLater } from "~/ui/use-later";
import { ClockStrip, UnkeptStrip } from "./clock-strip";
import { useOutbox } from "./outbox-state";

const list = later(async () => (await import("./waiting-list")).WaitingList);

/** What this tablet still holds, on every page: mostly nothing. */
export function WaitingStrip() {
  const { items, nobodys, others } = useOutbox();
  const some = items.length + nobodys.length + others > 0;
  const List = useLater(list, some);
  if (some && List) return <List />;
  return (
    <>
      <ClockStrip />
      <UnkeptStrip />
    </>
  );
}
