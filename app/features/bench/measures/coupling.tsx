import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { useWords } from "~/app/features/words/use-words";
import { TextField } from "../../form/text-field";
import { TextReader } from "../../form/text-reader";
import type { Texts } from "../../form/texts";
import { EndFields } from "../../kinds/coupling/fields";
import { endOf } from "../../kinds/coupling/form";
import { FieldRow, MoreFields } from "../../kinds/form-parts";
import { benchTool } from "../bench-tool";
import { FigureList } from "../figure-list";

const errors = [
  ["radial", "Offset", "mm"],
  ["angular", "Angle", "degrees"],
  ["axial", "Along the shaft", "mm"],
] as const;

function Fields() {
  return (
    <>
      <EndFields end={1} title="Driver" />
      <EndFields end={2} title="Driven" />
      <FieldRow>
        {errors.map(([name, label, unit]) => (
          <TextField key={name} name={`is.${name}`} label={`${label}, as it is`} hint={`${unit}; empty: not known`} />
        ))}
        {errors.map(([name, label, unit]) => (
          <TextField key={name} name={`allow.${name}`} label={`${label}, allowed`} hint={unit} />
        ))}
      </FieldRow>
      <MoreFields title="What the shafts grow, and the torque">
        <FieldRow>
          <TextField name="grow.length1" label="Driver: bearing to hub" hint="mm, from the bearing that locates it" />
          <TextField name="grow.perK1" label="Driver grows" hint="a kelvin; steel 11.5e-6" />
          <TextField name="grow.to1" label="Driver runs at" hint="°C" />
          <TextField name="grow.length2" label="Driven: bearing to hub" hint="mm" />
          <TextField name="grow.perK2" label="Driven grows" hint="a kelvin; steel 11.5e-6" />
          <TextField name="grow.to2" label="Driven runs at" hint="°C" />
          <TextField name="grow.from" label="Cold" hint="°C" />
          <TextField name="grow.gap" label="Gap while running" hint="mm" />
        </FieldRow>
        <FieldRow>
          <TextField name="torque" label="Torque" hint="N·m" />
          <TextField name="rated" label="The coupling's own" hint="N·m, its maker's" />
          <TextField name="service" label="Service factor" hint="1 even, 1.5 starts, 2 shocks (common practice)" />
        </FieldRow>
      </MoreFields>
    </>
  );
}

const growthFields = ["length1", "perK1", "to1", "length2", "perK2", "to2", "from", "gap"] as const;

function read(texts: Texts) {
  const from = new TextReader(texts);
  const some = (group: "is" | "allow") => {
    const [radial, angular, axial] = errors.map(([name]) => `${group}.${name}`) as [string, string, string];
    const given = {
      ...(from.has(radial) ? { radialMm: from.length(radial) } : {}),
      ...(from.has(angular) ? { angularDeg: from.angleOr(angular, 0) } : {}),
      ...(from.has(axial) ? { axialMm: from.length(axial) } : {}),
    };
    for (const [name, value] of [
      [radial, given.radialMm],
      [angular, given.angularDeg],
      [axial, given.axialMm],
    ] as const)
      from.want(name, value === undefined || (group === "is" ? value >= 0 : value > 0), "too-small");
    return Object.keys(given).length > 0 ? { [group === "is" ? "errors" : "allow"]: given } : {};
  };
  const g = (name: (typeof growthFields)[number]) => `grow.${name}`;
  const growth = growthFields.some((name) => from.has(g(name)))
    ? {
        growth: {
          lengthMm: [from.length(g("length1")), from.length(g("length2"))] as const,
          perK: [from.number(g("perK1")), from.number(g("perK2"))] as const,
          fromC: from.number(g("from")),
          toC: [from.number(g("to1")), from.number(g("to2"))] as const,
          runGapMm: from.length(g("gap")),
        },
      }
    : {};
  const torque = {
    ...(from.has("torque") ? { torqueNm: from.torque("torque") } : {}),
    ...(from.has("rated") ? { ratedNm: from.torque("rated") } : {}),
    ...(from.has("service") ? { serviceFactor: from.number("service") } : {}),
  };
  return from.done({
    ends: [endOf(from, "end1"), endOf(from, "end2")] as const,
    ...some("is"),
    ...some("allow"),
    ...growth,
    ...torque,
  });
}

const faultWords: Record<string, string> = {
  "bore-too-tight": "bore too tight",
  "bore-too-wide": "bore too wide",
  "key-too-tight": "key too thick for its slot",
  "key-too-wide": "key loose in its slot: it hammers",
  "flat-too-tight": "flat too tight",
  "flat-too-wide": "flat loose: it hammers",
  "gap-closed": "the hubs meet when warm",
  misaligned: "more error than it lives with",
  torque: "more torque than it carries",
};

const faultLine = (
  reader: Reader,
  { code, end, by }: { code: string; end?: number | undefined; by: number },
): string => {
  const size =
    code === "misaligned" || code === "torque"
      ? `${formatNumber(reader, 100 * by, 0)} %`
      : `${formatNumber(reader, by, 3)} mm`;
  return `${end === undefined ? "" : end === 0 ? "driver: " : "driven: "}${faultWords[code] ?? code}, by ${size}`;
};

export const tool = benchTool("coupling", async () => (await import("~/calc/tools/coupling")).couplingTool, {
  example: {
    "end1.shaft": "27.99",
    "end1.bore": "28.01",
    "end1.inner": "7.98",
    "end1.outer": "8.01",
    "end2.shaft": "24.99",
    "end2.bore": "25.01",
    "end2.inner": "7.98",
    "end2.outer": "8.06",
    "is.radial": "0.1",
    "is.angular": "0.2",
    "allow.radial": "0.25",
    "allow.angular": "1",
  },
  Fields,
  read: (texts) => {
    const { value, problems } = read(texts);
    return value ? { input: value, problems: null } : { input: null, problems };
  },
  say: (reader, { ok, faults }) => {
    if (ok) return "It fits, and carries what is asked of it";
    const said = faults.map((fault) => faultLine(reader, fault)).join("; ");
    return said.charAt(0).toUpperCase() + said.slice(1);
  },
  View: ({ output }) => {
    const reader = useWords();
    const f = (value: number, digits = 3) => formatNumber(reader, value, digits);
    const share = (value: number | undefined, name: string) =>
      value === undefined ? [] : [[name, `${f(100 * value, 0)} % of what it allows`] as const];
    return (
      <FigureList
        of={[
          ...output.ends.map(
            ({ clearanceMm, holdClearanceMm }, i) =>
              [
                i === 0 ? "Driver" : "Driven",
                `bore ${f(clearanceMm)} mm${holdClearanceMm === undefined ? "" : `, key or flat ${f(holdClearanceMm)} mm`}; 0 to 0.05 is good (common practice)`,
              ] as const,
          ),
          ...share(output.shares?.radial, "Offset"),
          ...share(output.shares?.angular, "Angle"),
          ...share(output.shares?.axial, "Along the shaft"),
          ...share(output.shareSum, "Together (common practice of catalogues)"),
          ...(output.growthMm === undefined ? [] : [["Both shafts grow", `${f(output.growthMm)} mm`] as const]),
          ...(output.gapMm === undefined ? [] : [["Leave cold between the hubs", `${f(output.gapMm)} mm`] as const]),
          ...(output.torqueMargin === undefined
            ? []
            : [["Torque it carries", `${f(output.torqueMargin, 2)} times that asked`] as const]),
        ]}
      />
    );
  },
});
