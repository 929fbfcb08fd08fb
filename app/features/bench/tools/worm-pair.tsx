import { formatNumber } from "~/app/features/words/figure";
import { useWords } from "~/app/features/words/use-words";
import { worm as kind } from "~/core/stages/kinds/worm";
import { wormDrawn as drawn } from "~/core/stages/kinds/worm/drawn";
import { wormGiven as given } from "~/core/stages/kinds/worm/given";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { readKind } from "../../kinds/kind-form";
import { worm as form } from "../../kinds/worm/form";
import { worm as words } from "../../kinds/worm/words";
import { KindFigures } from "../../stage-form/kind-figures";
import { BenchPage } from "../bench-page";
import { benchTool } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

const { Fields } = form;

/** The centre distance may be left out here: nominal then. */
function wormOf(texts: Texts) {
  const given = Boolean(texts.centres?.trim());
  const read = readKind(form, { ...texts, ...(given ? {} : { centres: "1" }) });
  if (!read.value) return { element: null, worm: null, problems: read.problems };
  const { centreDistanceMm, ...rest } = read.value.worm;
  return { element: read.value, worm: { ...rest, ...(given ? { centreDistanceMm } : {}) }, problems: null };
}

export const tool = benchTool("worm-pair", async () => (await import("~/calc/tools/worm-pair")).wormPairTool, {
  example: { starts: "1", z2: "40", pitch: "2", d1: "28", centres: "54.2", float: "0.03" },
  Fields: () => (
    <>
      <Fields />
      <div className="grid grid-cols-2 gap-4">
        <TextField name="backlash" label="Backlash at the wheel" hint="mm, as read; empty: from the centres" />
        <TextField name="float" label="End float of the worm" hint="mm" />
      </div>
    </>
  ),
  read: (texts) => {
    const { worm: input, problems } = wormOf(texts);
    const read = new TextReader(texts);
    const [backlash, float] = [read.lengthOrNull("backlash"), read.lengthOrNull("float")];
    read.want("backlash", backlash === null || backlash >= 0, "too-small");
    read.want("float", float === null || float >= 0, "too-small");
    const all = { ...problems, ...read.problems };
    if (!input || Object.keys(all).length > 0) return { input: null, problems: all };
    return {
      input: {
        ...input,
        ...(backlash === null ? {} : { wheelBacklashMm: backlash }),
        ...(float === null ? {} : { wormEndFloatMm: float }),
      },
      problems: null,
    };
  },
  say: (reader, { lostMotion }) => `${formatNumber(reader, lostMotion.totalArcmin, 1)}′ at the wheel`,
  View: ({ output, texts }) => {
    const reader = useWords();
    const { element } = wormOf(texts);
    const { meshArcmin, endFloatArcmin } = output.lostMotion;
    return (
      <div className="grid gap-4">
        <p className="text-lg">
          <span className="figure">{formatNumber(reader, meshArcmin, 1)}′</span> from the mesh, which the centre
          distance sets; <span className="figure">{formatNumber(reader, endFloatArcmin, 1)}′</span> from the worm's end
          float, which no mesh adjustment takes away.
        </p>
        {element && (
          <KindFigures
            of={{ kind, given, drawn, words, form }}
            element={{
              ...element,
              worm: {
                ...element.worm,
                centreDistanceMm: texts.centres ? element.worm.centreDistanceMm : output.nominalCentreDistanceMm,
              },
            }}
          />
        )}
      </div>
    );
  },
});

export const loader = firstAnswer(tool);
// The answer is computed here while one types.
export const shouldRevalidate = () => false;

export default function ToolPage() {
  return <BenchPage bench={tool} />;
}
