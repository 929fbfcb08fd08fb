import type { Bodies } from "~/core/logbook";
import { optionOutcomes } from "~/core/logbook";
import { choice } from "../form/field-readers";
import { TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";

type Option = Bodies["option"];

/**
 * A way as it was typed; what is left empty is not known.
 *
 * @param ofAssembly of a machine's assembly, which has to be named, and not of a stage
 */
export function readOption(texts: Texts, ofAssembly = false) {
  const read = new TextReader(texts);
  const over0 = (name: string, value: number | null): number | null => {
    read.want(name, value === null || !(value <= 0), "too-small");
    return value;
  };
  const number = (name: string) => over0(name, read.has(name) ? read.number(name) : null);
  const ratio = read.has("ratio") ? read.number("ratio") : null;
  read.want("ratio", ratio !== 0, "is-zero");
  const percent = number("efficiency");
  read.want("efficiency", percent === null || !(percent > 100), "too-large");
  const price = read.has("price") ? read.number("price") : null;
  read.want("price", price === null || !(price < 0), "too-small");
  const outcome = choice(read, "outcome", optionOutcomes);
  read.want("why", outcome !== "lost" || read.has("why"), "missing");
  return read.done({
    name: read.words("name"),
    ...(ofAssembly ? { assembly: read.words("assembly") } : {}),
    motorRpm: number("motor"),
    ratio,
    wheelDiameterMm: over0("wheel", read.lengthOrNull("wheel")),
    scale: number("scale"),
    motorTorqueNm: over0("torque", read.has("torque") ? read.torque("torque") : null),
    efficiency: percent === null ? null : percent / 100,
    price,
    noise: read.text("noise"),
    room: read.text("room"),
    effort: read.text("effort"),
    use: read.text("use"),
    service: read.text("service"),
    measuredRpm: number("measured"),
    outcome,
    why: read.text("why"),
  });
}

/** The same back into its fields, to be revised. */
export function optionTexts(option: Option): Texts {
  const text = (value: number | null) => (value === null ? "" : String(Number(value.toFixed(6))));
  return {
    name: option.name,
    assembly: option.assembly ?? "",
    motor: text(option.motorRpm),
    ratio: text(option.ratio),
    wheel: text(option.wheelDiameterMm),
    scale: text(option.scale),
    torque: text(option.motorTorqueNm),
    efficiency: text(option.efficiency === null ? null : option.efficiency * 100),
    price: text(option.price),
    noise: option.noise,
    room: option.room,
    effort: option.effort,
    use: option.use,
    service: option.service,
    measured: text(option.measuredRpm),
    outcome: option.outcome,
    why: option.why,
  };
}

/** The field of the form that a refusal's path names. */
export const optionField = (path: readonly (string | number)[]): string =>
  ({ motorRpm: "motor", wheelDiameterMm: "wheel", motorTorqueNm: "torque", measuredRpm: "measured" })[
    String(path[0])
  ] ?? String(path[0]);
