import type { Stage } from "~/core/records";
import { sidesOf } from "~/core/stages";
import { Fold } from "~/ui/fold";
import { later } from "~/ui/use-later";
import { WhenHere } from "~/ui/when-here";
import { sideWords } from "../../words/quantity-names";

const sidePane = later(async () => (await import("./side-pane")).SidePane);

/** What can be read beside what the stage is judged by, in a line that opens. */
export function ReadBeside({ stage }: { stage: Stage }) {
  const quantities = sidesOf(stage.geometry.element);
  if (quantities.length === 0) return null;
  const names = quantities.map((known) => sideWords[known].toLowerCase()).join(", ");
  return (
    <Fold
      look="plain"
      className="border-t border-rule pt-1 shrink-0"
      summary={
        <>
          <b>Also measure:</b> {names}
        </>
      }
    >
      <WhenHere part={sidePane} props={{ stage }} />
    </Fold>
  );
}
