import type { KeptDriveLine } from "~/core/stages";
import { Button } from "~/ui/button";
import { TextField } from "../form/text-field";
import { useWriteTexts } from "../form/use-form-texts";

/** What runs beside the drive at a rate of its own: said here, a noise that is timed is told from it. */
export function Beside({ graph, onGraph }: { graph: KeptDriveLine; onGraph: (graph: KeptDriveLine) => void }) {
  const write = useWriteTexts();
  const { beside = [] } = graph;
  const add = () => {
    const number = Math.max(-1, ...beside.map(({ id }) => Number(id.split("-")[1]))) + 1;
    const one = { id: `beside-${number}`, name: "", perMinute: 0 };
    onGraph({ ...graph, beside: [...beside, one] });
    write({ [`${one.id}.name`]: "Fan", [`${one.id}.perMinute`]: "" });
  };
  return (
    <section aria-labelledby="beside" className="grid gap-3">
      <h2 id="beside" className="text-xl font-bold">
        What runs beside it
      </h2>
      <p className="text-mid">Fans, pumps, whatever makes a noise of its own and does not turn with the drive.</p>
      {beside.map(({ id }) => (
        <div key={id} className="flex flex-wrap gap-4 items-end">
          <TextField label="Called" name={`${id}.name`} />
          <TextField label="Its turns a minute" className="max-w-44" name={`${id}.perMinute`} />
          <Button kind="quiet" onClick={() => onGraph({ ...graph, beside: beside.filter((one) => one.id !== id) })}>
            Take out
          </Button>
        </div>
      ))}
      <div>
        <Button kind="quiet" onClick={add} disabled={beside.length >= 12}>
          A fan or a pump
        </Button>
      </div>
    </section>
  );
}
