import { Link } from "react-router";
import { traitsOf } from "~/app/features/kinds/traits";
import { gearNames } from "~/core/stages";
import { buttonClass } from "~/ui/button";
import { useJobScreen } from "../entries/job-context";

/** The way to other gears in this place, within the job; nothing where none can stand. */
export function OtherGears() {
  const { stage, data } = useJobScreen();
  const { element } = stage.geometry;
  if (!traitsOf(element).swaps || gearNames(element) || !stage.limits) return null;
  return (
    <Link to={`/stages/${stage.id}/swap?job=${data.job.id}`} className={buttonClass("quiet")}>
      A gear comes out
    </Link>
  );
}
