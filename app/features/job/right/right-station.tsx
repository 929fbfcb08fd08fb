import { ShaftPane } from "./shaft-pane";

/** What is put right while it is apart: shafts measured, filled up and put together. */
export function RightStation() {
  return (
    <div className="grow min-h-0 overflow-y-auto p-5 max-sm:p-3.5">
      <ShaftPane />
    </div>
  );
}
