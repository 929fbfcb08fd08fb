import { gearPair, gearsToMake, type SwapGear, type SwapQuestion } from "~/core/gears";
import type { Stage, StoreItem } from "~/core/records";
import { asGearPair } from "~/core/stages";
import { TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";

const figure = (item: StoreItem, key: string): number => Number(item.figures[key] ?? 0) || 0;

/** A gear of the stores as the search takes it; null for one whose teeth or module nobody noted. */
export function gearOf(item: StoreItem): SwapGear | null {
  const [teeth, moduleMm] = [figure(item, "teeth"), figure(item, "moduleMm")];
  if (teeth < 3 || moduleMm <= 0 || item.count === 0) return null;
  return {
    id: item.id,
    name: item.name,
    teeth,
    moduleMm,
    pressureAngleDeg: figure(item, "pressureAngleDeg") || 20,
    helixAngleDeg: figure(item, "helixAngleDeg"),
    profileShift: figure(item, "profileShift"),
    boreMm: figure(item, "boreMm") || null,
    price: item.price,
    noise: String(item.figures.noise ?? ""),
    count: item.count,
  };
}

const usualRange = 12;

/** What is searched, from the form; or what is wrong in it. Of a stage without gears, or without limits to reach, there is none. */
export function swapQuestion(stage: Stage, stock: readonly StoreItem[], texts: Texts) {
  const element = asGearPair(stage.geometry.element);
  if (!element || !stage.limits) return null;
  const { pair } = element;
  const read = new TextReader(texts);
  const made = texts.from === "range";
  const exact = gearPair(pair);
  const centreDistanceMm = pair.centreDistanceMm ?? (exact.ok ? exact.value.centreDistanceMm : 0);
  const [least, most] = [Math.min(...pair.teeth), Math.max(...pair.teeth)];
  const from = read.has("least") ? read.number("least", true) : Math.max(8, least - usualRange);
  const to = read.has("most") ? read.number("most", true) : most + usualRange;
  read.want("least", from >= 3, "teeth-too-few");
  read.want("most", to >= from && to - from <= 400, "too-large");
  const min = read.has("in") ? -read.length("in") : 0;
  const max = read.has("out") ? read.length("out") : 0;
  read.want("in", min <= 0 && min > -100, "too-small");
  read.want("out", max >= 0 && max < 100, "too-small");
  const gears = made ? gearsToMake(pair, from, to) : stock.flatMap((item) => gearOf(item) ?? []);
  const { lo, aim, hi } = stage.limits;
  const question: SwapQuestion = {
    present: { ...pair, centreDistanceMm },
    band: { lo, aim: aim ?? undefined, hi },
    boresMm: element.parts.boresMm ?? [null, null],
    travelMm: { min, max },
    gears,
    reversed: texts.reversed === "1",
  };
  const rpm = read.has("rpm") ? read.number("rpm") : null;
  const torque = read.has("torque") ? read.torque("torque") : null;
  return read.done({ question, rpm, torque });
}
