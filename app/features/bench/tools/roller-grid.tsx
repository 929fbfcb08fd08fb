import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import type { RollerGrid } from "~/core/belts";
import { count, over0, positiveNumber } from "../../form/field-readers";
import { RowsField } from "../../form/rows-field";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import { rowTexts, type Texts } from "../../form/texts";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";
import { PathDrawing } from "../path-drawing";
import { PulleysField, readPulleys } from "../pulleys";

function readGrid(texts: Texts) {
  const read = new TextReader(texts);
  const pulleys = readPulleys(read);
  const which = count(read, "which", 1);
  read.want("which", which <= Math.max(1, pulleys.length), "no-such-idler");
  const rows = read.rows("holes", ["x", "y"]);
  read.want("holes", rows.length >= 1, "missing");
  const holes = rows.map((row) => ({ x: read.length(`${row}.x`), y: read.length(`${row}.y`) }));
  const diametersMm = read.lengths("barrels");
  read.want("barrels", diametersMm.length > 0, "missing");
  read.want(
    "barrels",
    diametersMm.every((diameter) => diameter > 0),
    "too-small",
  );
  const addRadiusMm = read.lengthOrNull("add") ?? 0;
  read.want("add", !(addRadiusMm < 0), "too-small");
  const force = (name: string) => {
    const value = read.force(name);
    read.want(name, !(value < 0), "too-small");
    return value;
  };
  const limitsN = { lo: force("lo"), ...(read.has("aim") ? { aim: force("aim") } : {}), hi: force("hi") };
  read.want("lo", !(limitsN.lo > limitsN.hi), "window-upside-down");
  return read.done({
    pulleys,
    roller: { index: which - 1, holes, diametersMm, addRadiusMm },
    lengthMm: over0(read, "length"),
    stiffnessN: positiveNumber(read, "stiffness"),
    limitsN,
  });
}

const stateWords = { slack: "slack", below: "too slack", inside: "inside", above: "too tight" } as const;

export const tool = benchTool("roller-grid", async () => (await import("~/calc/tools/roller-grid")).rollerGridTool, {
  example: {
    ...rowTexts("pulleys", [
      { x: "0", y: "0", d: "40", side: "inside" },
      { x: "150", y: "0", d: "60", side: "inside" },
      { x: "70", y: "60", d: "15", side: "inside" },
    ]),
    which: "3",
    ...rowTexts("holes", [
      { x: "70", y: "60" },
      { x: "70", y: "84" },
    ]),
    barrels: "15 22 30",
    length: "482",
    stiffness: "9000",
    lo: "80",
    aim: "110",
    hi: "140",
  },
  Fields: () => (
    <>
      <PulleysField hint="The roller among them, at any place." />
      <RowsField
        name="holes"
        legend="Holes for the roller, mm"
        one="Hole"
        columns={[
          { name: "x", label: "x" },
          { name: "y", label: "y" },
        ]}
      />
      <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">
        <TextField name="which" label="Roller is no." inputMode="numeric" />
        <TextField name="barrels" label="Barrels there are" hint="diameters, mm, with spaces" />
        <TextField name="add" label="Barrel to pitch line" hint="mm; on the back its thickness there" />
        <TextField name="length" label="Belt, slack" hint="mm" />
        <TextField name="stiffness" label="Stiffness EA" hint="N" />
        <span className="max-sm:hidden" />
        <TextField name="lo" label="Lower limit" hint="N" />
        <TextField name="aim" label="Aim" hint="N; empty: the middle" />
        <TextField name="hi" label="Upper limit" hint="N" />
      </div>
    </>
  ),
  read: (texts) => inputFrom(readGrid(texts)),
  say: (reader, { best, feasible, goesOn }) => {
    if (!best) return "No barrel goes into any of these holes";
    const choice = `Barrel ${formatNumber(reader, best.diameterMm, 1)} in hole ${best.hole + 1}: ${formatNumber(reader, best.tensionN, 0)} N`;
    return `${feasible ? choice : `None gives the tension; nearest: ${choice}`}${goesOn === false ? ". The belt does not go on without the roller" : ""}`;
  },
  View,
});

function View({ output, texts }: { output: RollerGrid; texts: Texts }) {
  const reader = useWords();
  const input = readGrid(texts).value;
  if (!input) return null;
  const f = (value: number | null, decimals = 0) => (value === null ? "–" : formatNumber(reader, value, decimals));
  const { index, holes, addRadiusMm, diametersMm } = input.roller;
  const hole = holes[output.best?.hole ?? 0] ?? { x: 0, y: 0 };
  const barrel = output.best?.diameterMm ?? diametersMm[0] ?? 1;
  const drawn = input.pulleys.map((pulley, i) =>
    i === index ? { ...pulley, ...hole, pitchDiameterMm: barrel + 2 * addRadiusMm } : pulley,
  );
  return (
    <div className="grid gap-4">
      <PathDrawing pulleys={drawn} label="The path over the best barrel" />
      <table className="w-full">
        <thead>
          <tr className="text-left text-mid">
            <th scope="col" className="font-normal">
              Hole
            </th>
            <th scope="col" className="font-normal text-right">
              Barrel, mm
            </th>
            <th scope="col" className="font-normal text-right">
              Length, mm
            </th>
            <th scope="col" className="font-normal text-right">
              Tension, N
            </th>
            <th scope="col" className="font-normal pl-4">
              It is
            </th>
          </tr>
        </thead>
        <tbody>
          {output.rows.map((row) => {
            const best = row.hole === output.best?.hole && row.diameterMm === output.best.diameterMm;
            return (
              <tr
                key={`${row.hole} ${row.diameterMm}`}
                className={`border-t border-rule ${best ? "font-semibold" : ""}`}
              >
                <th scope="row" className="figure font-normal text-left py-1">
                  {row.hole + 1}
                </th>
                <td className="figure text-right">{f(row.diameterMm, 1)}</td>
                <td className="figure text-right">{f(row.lengthMm, 2)}</td>
                <td className="figure text-right">{f(row.tensionN)}</td>
                <td className="pl-4">
                  {row.state === null ? "does not go in" : stateWords[row.state]}
                  {best ? ", the best" : ""}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p>
        {output.aimDiameterMm
          .map(
            (diameter, i) =>
              `Hole ${i + 1}: ${diameter === null ? "no barrel gives the aim" : `a barrel of ${f(diameter, 2)} mm would give the aim`}`,
          )
          .join("; ")}
        .
      </p>
      <p className="text-mid">
        The tension is the same all round once the belt has been turned. A thicker barrel where the belt wraps little is
        a finer step than the next hole.
      </p>
    </div>
  );
}

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
