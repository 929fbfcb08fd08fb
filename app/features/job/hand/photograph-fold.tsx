import { Field } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { FileForm } from "../../files/file-form";
import { shrinkPhotograph } from "../../machine/shrink-photograph";
import { useJobScreen } from "../entries/job-context";

/** The print itself, photographed: kept on the stage under what it shows. */
export function PhotographFold({ shows }: { shows: string }) {
  const { data, stage } = useJobScreen();
  return (
    <Fold look="line" summary="Photograph it">
      <FileForm
        to={`/machines/${data.machine.id}/files`}
        label="Photograph"
        types=".jpg,.jpeg,.png,.webp"
        prepare={shrinkPhotograph}
        waits
        className="grid gap-3 py-2"
      >
        <input type="hidden" name="stageId" value={stage.id} />
        <Field label="What it shows" name="caption" defaultValue={shows} autoComplete="off" maxLength={400} />
      </FileForm>
    </Fold>
  );
}
