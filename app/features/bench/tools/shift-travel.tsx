import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { ShiftEnds } from "../../shifting/shift-ends";
import { ShiftPicture } from "../../shifting/shift-picture";
import { travelWords } from "../../words/shift";
import { BenchPage } from "../bench-page";
import { benchTool, inputFrom } from "../bench-tool";
import { firstAnswer } from "../first-answer.server";

function readTravel(texts: Texts) {
  const read = new TextReader(texts);
  const face = (name: string) => {
    const span = { fromMm: read.length(`${name}.from`), toMm: read.length(`${name}.to`) };
    read.want(`${name}.from`, !(span.fromMm >= span.toMm), "window-upside-down");
    return span;
  };
  const left = face("slider");
  const right = read.has("slider2.from") || read.has("slider2.to") ? face("slider2") : left;
  const mates = { left: face("mate1"), right: face("mate2") };
  const stops = { leftMm: read.length("stop1"), rightMm: read.length("stop2") };
  read.want("stop1", !(stops.leftMm >= stops.rightMm), "window-upside-down");
  const wantedShare = read.numberOr("share", 95) / 100;
  read.want("share", wantedShare > 0 && wantedShare <= 1, "too-large");
  const neutral = { loMm: read.lengthOrNull("neutral.lo") ?? 0 };
  const most = read.lengthOrNull("neutral.hi");
  read.want("neutral.lo", most === null || !(neutral.loMm > most), "window-upside-down");
  return read.done({
    slider: { left, right },
    mates,
    stops,
    wantedShare,
    neutral: { ...neutral, ...(most === null ? {} : { hiMm: most }) },
  });
}

export const tool = benchTool("shift-travel", async () => (await import("~/calc/tools/shift-travel")).shiftTravelTool, {
  example: {
    "slider.from": "0",
    "slider.to": "8",
    "mate1.from": "-12",
    "mate1.to": "-4",
    "mate2.from": "9",
    "mate2.to": "17",
    stop1: "-10",
    stop2: "9",
  },
  Fields: () => (
    <div className="grid grid-cols-2 gap-4">
      <p className="col-span-full text-mid">
        Places along the shaft in mm, growing to the right. The slider as it stands at slide position 0.
      </p>
      <TextField name="slider.from" label="Slider, face from" />
      <TextField name="slider.to" label="to" />
      <TextField name="slider2.from" label="Its other face, from" hint="empty: one and the same face" />
      <TextField name="slider2.to" label="to" />
      <TextField name="mate1.from" label="Left mate, face from" />
      <TextField name="mate1.to" label="to" />
      <TextField name="mate2.from" label="Right mate, face from" />
      <TextField name="mate2.to" label="to" />
      <TextField name="stop1" label="Slide position at the left stop" />
      <TextField name="stop2" label="At the right stop" />
      <TextField name="share" label="Face that must meet" hint="% of the narrower; usually 95" />
      <TextField name="neutral.lo" label="Neutral, least" hint="mm; usually 0" />
      <TextField name="neutral.hi" label="Neutral, most" hint="mm; empty: any" />
    </div>
  ),
  read: (texts) => inputFrom(readTravel(texts)),
  say: (reader, output) => travelWords(reader, output, ["left stop", "right stop"]),
  View: ({ output, texts }) => {
    const { value } = readTravel(texts);
    return (
      <div className="grid gap-4">
        {value && <ShiftPicture {...value} />}
        <ShiftEnds ends={[output.left, output.right]} named={["left", "right"]} />
        <p className="text-mid">
          Half to one millimetre of neutral is usual for shifting by hand; tooth on tooth needs a spring, or one side
          turned by hand (common practice). A stop a little beyond full overlap costs nothing while the faces differ in
          width; with equal faces every error of the stop is lost face.
        </p>
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
