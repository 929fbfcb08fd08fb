import type { Reader } from "~/app/features/words/reader";
import type { GearPosition, Slide } from "~/core/stages";
import { choice, over0Or, type Reading } from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import { rowTexts, type Texts } from "../../form/texts";

const columns = ["gear", "thick", "per", "centres", "lo", "aim", "hi", "source"];

/** Gears that stand somewhere by themselves, a row each. */
export function readPositions(read: Reading, names: readonly string[]): GearPosition[] {
  const rows = read.rows("positions", columns);
  for (const [i, row] of rows.entries()) {
    knownGear(read, `${row}.gear`, names);
    const gear = read.text(`${row}.gear`);
    read.want(`${row}.gear`, !rows.slice(0, i).some((other) => read.text(`${other}.gear`) === gear), "part-twice");
  }
  return rows.map((row) => {
    const by = choice(read, `${row}.by`, ["spacer", "shoulder", "none"]);
    const perMm = read.numberOr(`${row}.per`, 1);
    read.want(`${row}.per`, perMm !== 0, "is-zero");
    const thicknessMm = read.lengthOrNull(`${row}.thick`);
    read.want(`${row}.thick`, thicknessMm === null || thicknessMm >= 0, "too-small");
    const centreDistanceMm = over0Or(read, `${row}.centres`, undefined);
    const limited = read.has(`${row}.lo`) || read.has(`${row}.hi`);
    const [lo, hi] = limited ? [read.length(`${row}.lo`), read.length(`${row}.hi`)] : [0, 0];
    read.want(`${row}.lo`, !(lo > hi), "window-upside-down");
    const aim = read.lengthOrNull(`${row}.aim`);
    read.want(`${row}.aim`, aim === null || !(aim < lo || aim > hi), "aim-outside");
    return {
      gear: read.words(`${row}.gear`),
      ...(centreDistanceMm === undefined ? {} : { centreDistanceMm }),
      ...(limited ? { limits: { lo, aim, hi, source: read.words(`${row}.source`) } } : {}),
      ...(by === "none" ? {} : { stop: { by, thicknessMm, perMm } }),
    };
  });
}

function knownGear(read: Reading, name: string, names: readonly string[]): void {
  const gear = read.text(name);
  if (gear !== "" && !names.includes(gear))
    read.problems[name] = { code: "no-such-gear", path: [name], facts: { gear } };
}

export const positionTexts = (reader: Reader, positions: readonly GearPosition[]): Texts =>
  rowTexts(
    "positions",
    positions.map(({ gear, centreDistanceMm, limits, stop }) => ({
      gear,
      by: stop?.by ?? "none",
      thick: n(reader, stop?.thicknessMm),
      per: stop ? n(reader, stop.perMm) : "",
      centres: n(reader, centreDistanceMm),
      lo: n(reader, limits?.lo),
      aim: n(reader, limits?.aim),
      hi: n(reader, limits?.hi),
      source: limits?.source ?? "",
    })),
  );

/** A gear that slides between two mates: its faces, theirs, the stops, and what shifts it. */
export function readSlide(read: Reading, names: readonly string[]): Slide {
  for (const side of ["slide.left", "slide.right"]) knownGear(read, side, names);
  read.want("slide.right", read.text("slide.left") !== read.text("slide.right"), "part-twice");
  const face = (name: string) => {
    const span = { fromMm: read.length(`${name}From`), toMm: read.length(`${name}To`) };
    read.want(`${name}From`, !(span.fromMm >= span.toMm), "window-upside-down");
    return span;
  };
  const left = face("slide.own");
  const right = read.has("slide.otherFrom") || read.has("slide.otherTo") ? face("slide.other") : left;
  const stops = { leftMm: read.length("slide.stop1"), rightMm: read.length("slide.stop2") };
  read.want("slide.stop1", !(stops.leftMm >= stops.rightMm), "window-upside-down");
  const share = read.numberOr("slide.share", 95) / 100;
  read.want("slide.share", share > 0 && share <= 1, "too-large");
  const actuator = readActuator(read);
  return {
    left: read.words("slide.left"),
    right: read.words("slide.right"),
    travel: {
      slider: { left, right },
      mates: { left: face("slide.mate1"), right: face("slide.mate2") },
      stops,
      wantedShare: share,
      neutral: { loMm: read.lengthOrNull("slide.neutral") ?? 0 },
    },
    ...(actuator ? { actuator } : {}),
  };
}

function readActuator(read: Reading): Slide["actuator"] | null {
  const by = choice(read, "slide.by", ["hand", "lever", "servo", "cylinder"]);
  if (by === "hand") return null;
  const ended = read.has("slide.end1") || read.has("slide.end2");
  const ends = ended ? ([read.number("slide.end1"), read.number("slide.end2")] as [number, number]) : null;
  read.want("slide.end1", !ends || !(ends[0] >= ends[1]), "window-upside-down");
  return {
    by,
    unit: read.words("slide.unit"),
    left: read.number("slide.at1"),
    right: read.number("slide.at2"),
    ends,
  };
}

export function slideTexts(reader: Reader, slide: Slide | undefined): Texts {
  if (!slide) return { slides: "" };
  const { left, right, travel, actuator } = slide;
  const { slider, mates, stops, wantedShare, neutral } = travel;
  const same = slider.left.fromMm === slider.right.fromMm && slider.left.toMm === slider.right.toMm;
  const face = (name: string, span: { fromMm: number; toMm: number }): Texts => ({
    [`slide.${name}From`]: n(reader, span.fromMm),
    [`slide.${name}To`]: n(reader, span.toMm),
  });
  return {
    slides: "yes",
    "slide.left": left,
    "slide.right": right,
    ...face("own", slider.left),
    ...(same ? {} : face("other", slider.right)),
    ...face("mate1", mates.left),
    ...face("mate2", mates.right),
    "slide.stop1": n(reader, stops.leftMm),
    "slide.stop2": n(reader, stops.rightMm),
    "slide.share": n(reader, wantedShare * 100),
    "slide.neutral": n(reader, neutral.loMm),
    "slide.by": actuator?.by ?? "hand",
    "slide.unit": actuator?.unit ?? "",
    "slide.at1": n(reader, actuator?.left),
    "slide.at2": n(reader, actuator?.right),
    "slide.end1": n(reader, actuator?.ends?.[0]),
    "slide.end2": n(reader, actuator?.ends?.[1]),
  };
}
