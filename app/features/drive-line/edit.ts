import { accept, parseNumber, parseQuantity, type RefusalCode, type Result, refuse } from "~/core/quantity";
import type { KeptDriveLine } from "~/core/stages";
import { usualAngle } from "~/core/stages";
import type { Texts } from "../form/texts";

/** A drive line with one motor and nothing on it yet. */
export const emptyLine: KeptDriveLine = {
  sources: [{ id: "source-0", name: "Motor", rpm: null, torqueNm: null }],
  links: [],
  outputs: [],
};

/** A stage driven by another shaft, or taken out of the line (`null`). */
export function driveStage(graph: KeptDriveLine, stageId: string, from: string | null): KeptDriveLine {
  const others = graph.links.filter((link) => link.stageId !== stageId);
  const known = graph.links.find((link) => link.stageId === stageId);
  if (from === null) {
    const kept = others.map((link) => (link.onto === stageId ? { ...link, onto: null } : link));
    return { ...graph, links: kept, outputs: graph.outputs.filter(({ at }) => at !== stageId) };
  }
  const angleDeg = known?.from === from ? known.angleDeg : usualAngle({ ...graph, links: others }, from);
  const link = { stageId, from, onto: known?.onto ?? null, gear: known?.gear ?? 0, angleDeg };
  const at = graph.links.findIndex((item) => item.stageId === stageId);
  return { ...graph, links: at < 0 ? [...others, link] : graph.links.map((item, i) => (i === at ? link : item)) };
}

export const changeLink = (
  graph: KeptDriveLine,
  stageId: string,
  change: Partial<KeptDriveLine["links"][number]>,
): KeptDriveLine => ({
  ...graph,
  links: graph.links.map((link) => (link.stageId === stageId ? { ...link, ...change } : link)),
});

/** Figures of sources and outputs stand as texts while they are typed. */
export function withFigures(graph: KeptDriveLine, texts: Texts): Result<KeptDriveLine> {
  const problems: [string, RefusalCode][] = [];
  const number = (name: string, read: (text: string) => Result<number>): number | null => {
    const text = (texts[name] ?? "").trim();
    if (text === "") return null;
    const value = read(text);
    if (!value.ok) problems.push([name, value.refusal.code]);
    else if (value.value <= 0) problems.push([name, "too-small"]);
    return value.ok ? value.value : null;
  };
  const quantity = (dimension: "torque" | "length", bare: string) => (text: string) => {
    const read = parseQuantity(text, dimension, bare);
    return read.ok ? accept(read.value.value) : read;
  };
  const figures: KeptDriveLine = {
    ...graph,
    sources: graph.sources.map((source) => ({
      ...source,
      name: (texts[`${source.id}.name`] ?? source.name).trim() || "Motor",
      rpm: number(`${source.id}.rpm`, (text) => parseNumber(text)),
      torqueNm: number(`${source.id}.torque`, quantity("torque", "Nm")),
    })),
    outputs: graph.outputs.map((output, i) => ({
      ...output,
      name: (texts[`output.${i}.name`] ?? output.name).trim() || `Output ${i + 1}`,
      wheelDiameterMm: number(`output.${i}.wheel`, quantity("length", "mm")),
      scale: number(`output.${i}.scale`, (text) => parseNumber(text)),
    })),
    ...(graph.beside && {
      beside: graph.beside.map((one, i) => {
        const perMinute = number(`${one.id}.perMinute`, (text) => parseNumber(text));
        if (perMinute === null) problems.push([`${one.id}.perMinute`, "missing"]);
        return {
          ...one,
          name: (texts[`${one.id}.name`] ?? one.name).trim() || `Beside it ${i + 1}`,
          perMinute: perMinute ?? one.perMinute,
        };
      }),
    }),
  };
  const [problem] = problems;
  return problem ? refuse(problem[1], [problem[0]], { text: texts[problem[0]] ?? "" }) : accept(figures);
}

/** The texts of a line that is there already. */
export const lineTexts = (graph: KeptDriveLine): Texts => ({
  ...Object.fromEntries(
    graph.sources.flatMap(({ id, name, rpm, torqueNm }) => [
      [`${id}.name`, name],
      [`${id}.rpm`, rpm === null ? "" : String(rpm)],
      [`${id}.torque`, torqueNm === null ? "" : String(torqueNm)],
    ]),
  ),
  ...Object.fromEntries(
    graph.outputs.flatMap(({ name, wheelDiameterMm, scale }, i) => [
      [`output.${i}.name`, name],
      [`output.${i}.wheel`, wheelDiameterMm === null ? "" : String(wheelDiameterMm)],
      [`output.${i}.scale`, scale === null ? "" : String(scale)],
    ]),
  ),
  ...Object.fromEntries(
    (graph.beside ?? []).flatMap(({ id, name, perMinute }) => [
      [`${id}.name`, name],
      [`${id}.perMinute`, String(perMinute)],
    ]),
  ),
});
