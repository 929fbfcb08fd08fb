import { Form, useNavigation } from "react-router";
import type { Refusal } from "~/core/quantity";
import { Button } from "~/ui/button";
import { Select } from "~/ui/field";
import { Fold } from "~/ui/fold";
import { Tick } from "~/ui/tick";
import { Refused } from "../words/refused";

/** Something of a machine copied to another, twins first, as it is or for the other hand. */
export function CopyTo({
  what,
  ids,
  machines,
  hand,
  refusal,
}: {
  /** "guide". */
  what: string;
  /** Of what is made by it, by the names of the form. */
  ids: Readonly<Record<string, string>>;
  machines: readonly { id: string; name: string; tag: string }[];
  /** What changes for the other hand. */
  hand: string;
  refusal: Refusal | null;
}) {
  const busy = useNavigation().state !== "idle";
  return (
    <Fold summary="Copy it to another machine">
      <Form method="post" className="grid gap-3 py-2">
        {Object.entries(ids).map(([name, id]) => (
          <input key={name} type="hidden" name={name} value={id} suppressHydrationWarning />
        ))}
        <Select label="Machine" name="machineId">
          {machines.map(({ id, name, tag }) => (
            <option key={id} value={id}>
              {name}, {tag}
            </option>
          ))}
        </Select>
        <Tick name="mirrored" value="yes" label={`For the other hand: ${hand}`} />
        {refusal && (
          <p role="alert" className="text-outside font-semibold">
            <Refused refusal={refusal} />
          </p>
        )}
        <div>
          <Button type="submit" large disabled={busy}>
            Copy the {what}
          </Button>
        </div>
      </Form>
    </Fold>
  );
}
