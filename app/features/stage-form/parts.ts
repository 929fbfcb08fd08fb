import { v7 } from "uuid";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { kindName } from "../kinds";
import { kindIn } from "../kinds/forms";
import { capital } from "../words/count";
import { type AdjusterInput, readAdjuster } from "./adjuster-texts";
import { type LimitsInput, leftOpen, readLimits, readSideLimits, type SideLimitsInput } from "./limits-texts";
import { type GeometryInput, readGeometry } from "./texts";

/** What is revised of a stage, each by itself. */
export type StagePart = "geometry" | "adjuster" | "limits" | "stage";
export const stageParts: readonly StagePart[] = ["geometry", "adjuster", "limits", "stage"];

type SaidLimits = { limits: LimitsInput | null; sideLimits: (SideLimitsInput & { id: string })[] | undefined };

const readName = (texts: Texts): Read<{ name: string }> => {
  const read = new TextReader(texts);
  return read.done({ name: read.text("name") || usualName(texts) });
};
/** What a stage is called where nobody named it: its kind, with its teeth as far as they are typed. */
const usualName = (texts: Texts): string => {
  const teeth = [texts.z1, texts.z2].filter(Boolean).join(" : ");
  return capital(`${kindName(kindIn(texts))} ${teeth}`.trim());
};
const named = <K extends string, T>(name: K, read: Read<T>): Read<Record<K, T>> =>
  read.problems === null ? { value: { [name]: read.value } as Record<K, T>, problems: null } : read;

function readAllLimits(texts: Texts, isNew = false): Read<SaidLimits> {
  const limits: Read<LimitsInput | null> = isNew ? readLimits(texts, true) : readLimits(texts);
  const sides = readSideLimits(texts);
  if (limits.problems !== null || sides.problems !== null)
    return { value: null, problems: { ...limits.problems, ...sides.problems } };
  return {
    value: { limits: limits.value, sideLimits: sides.value?.map((side) => ({ id: v7(), ...side })) },
    problems: null,
  };
}

const readers: { readonly [P in StagePart]: (texts: Texts) => Read<object> } = {
  geometry: (texts) => named("geometry", readGeometry(texts)),
  adjuster: (texts) => named("adjuster", readAdjuster(texts)),
  limits: (texts) => readAllLimits(texts),
  stage: readName,
};

/** One part of a stage as its fields have it. */
export const readPart = (part: StagePart, texts: Texts): Read<object> => readers[part](texts);

/** A whole stage. */
export function readStage(
  texts: Texts,
): Read<{ name: string; geometry: GeometryInput; adjuster: AdjusterInput; points: string[] } & SaidLimits> {
  const [name, geometry, adjuster, limits] = [
    readName(texts),
    readGeometry(texts),
    readAdjuster(texts),
    readAllLimits(texts, true),
  ];
  if (name.problems !== null || geometry.problems !== null || adjuster.problems !== null || limits.problems !== null)
    return {
      value: null,
      problems: { ...name.problems, ...geometry.problems, ...adjuster.problems, ...limits.problems },
    };
  return {
    value: {
      ...name.value,
      geometry: geometry.value,
      adjuster: adjuster.value,
      ...limits.value,
      points: leftOpen(texts),
    },
    problems: null,
  };
}
