import type { AxisElement } from "~/core/stages";
import {
  choice,
  count,
  notNegativeOr,
  over0Or,
  positiveNumber,
  positiveOr,
  type Reading,
} from "../../form/field-readers";
import { numberText as n } from "../../form/number-text";
import { rowTexts } from "../../form/texts";
import type { KindForm } from "../kind-form";
import { AxisFields } from "./fields";
import { axis as axisWords } from "./words";

export const axis: KindForm<"axis"> = {
  Fields: AxisFields,
  read: (read) => {
    const unit = choice(read, "axisUnit", ["mm", "deg"]);
    const at = alongReader(read, unit);
    const ways = { work: fromTo(read, at, "work"), buffers: fromTo(read, at, "buffer") };
    const above0 = (name: string) => {
      const value = at(name);
      read.want(name, value > 0, "too-small");
      return value;
    };
    const load = loadOf(read, unit);
    const [balance, motor] = [balanceIn(read), motorIn(read)];
    read.want("load.force", load !== null || (balance === null && motor === null), "missing");
    return {
      kind: "axis",
      unit,
      ...ways,
      perTurn: above0("perTurn"),
      speed: positiveNumber(read, "axisSpeed"),
      decel: positiveNumber(read, "decel"),
      reactionS: notNegativeOr(read, "reaction", 0),
      stopsIn: read.has("stopsIn") ? above0("stopsIn") : null,
      switchRadiusMm: unit === "mm" ? null : over0Or(read, "switchRadius", null),
      sensor: read.has("sensor.turns")
        ? {
            turnsAvailable: positiveNumber(read, "sensor.turns"),
            turnsPerShaftTurn: positiveOr(read, "sensor.per", 1),
            ...(read.has("sensor.low") ? { turnsAtLow: read.number("sensor.low") } : {}),
          }
        : null,
      load,
      balance,
      motor,
    };
  },
  texts: (reader, element) => {
    const { unit, work, buffers, sensor, load, balance, motor } = element;
    return {
      kind: "axis",
      axisUnit: unit,
      "work.lo": n(reader, work.lo),
      "work.hi": n(reader, work.hi),
      "buffer.lo": n(reader, buffers.lo),
      "buffer.hi": n(reader, buffers.hi),
      perTurn: n(reader, element.perTurn),
      axisSpeed: n(reader, element.speed),
      decel: n(reader, element.decel),
      reaction: n(reader, element.reactionS),
      stopsIn: n(reader, element.stopsIn ?? undefined),
      switchRadius: n(reader, element.switchRadiusMm ?? undefined),
      "sensor.turns": n(reader, sensor?.turnsAvailable),
      "sensor.per": n(reader, sensor?.turnsPerShaftTurn),
      "sensor.low": n(reader, sensor?.turnsAtLow),
      "load.force": n(reader, load?.forceN),
      "load.payload": n(reader, load?.payloadN),
      "load.friction": n(reader, load?.frictionN),
      "load.arm": n(reader, load?.armMm ?? undefined),
      ...rowTexts(
        "strand",
        (balance?.points ?? []).map(({ extensionMm, forceN }) => ({
          at: n(reader, extensionMm),
          force: n(reader, forceN),
        })),
      ),
      strands: balance ? String(balance.strands) : "",
      "strand.top": n(reader, balance?.extensionAtTopMm),
      "strand.most": n(reader, balance?.maxExtensionMm ?? undefined),
      reeving: n(reader, balance?.reeving),
      motorTorque: n(reader, motor?.torqueNm),
      ...rowTexts(
        "gear",
        (motor?.gears ?? []).map(({ name, ratio, efficiency }) => ({
          name,
          ratio: n(reader, ratio),
          efficiency: n(reader, 100 * efficiency),
        })),
      ),
    };
  },
  figures: (reader, element) => axisWords.facts?.(reader, element) ?? [],
  turned: "no",
  usualLimits: "switch-to-buffer",
  AskedFor: null,
  Recommend: null,
  byRule: null,
  noRule: "There is no room to stop between work and buffer: no switch can be set there.",
  means: ["slot", "jack-screw"],
  moved: () => null,
  ways: () => null,
  shims: { label: "Switch a mm of shim", drawn: ["rail", "switch", "way"], remark: "" },
};

type Along = (name: string) => number;

const alongReader =
  (read: Reading, unit: AxisElement["unit"]): Along =>
  (name) => {
    read.want(name, read.has(name), "missing");
    return unit === "mm" ? read.length(name) : read.angleOr(name, Number.NaN);
  };

function fromTo(read: Reading, at: Along, name: string): { lo: number; hi: number } {
  const [lo, hi] = [at(`${name}.lo`), at(`${name}.hi`)];
  read.want(`${name}.hi`, !(hi <= lo), "window-upside-down");
  return { lo, hi };
}

const force = (read: Reading, name: string, least: "over-0" | "from-0"): number => {
  const value = read.force(name);
  read.want(name, least === "over-0" ? !(value <= 0) : !(value < 0), "too-small");
  return value;
};

function loadOf(read: Reading, unit: AxisElement["unit"]): AxisElement["load"] {
  if (!read.has("load.force")) return null;
  read.want("load.arm", unit === "mm" || read.has("load.arm"), "missing");
  return {
    forceN: force(read, "load.force", "over-0"),
    payloadN: read.has("load.payload") ? force(read, "load.payload", "from-0") : 0,
    frictionN: read.has("load.friction") ? force(read, "load.friction", "from-0") : 0,
    armMm: unit === "mm" ? null : over0Or(read, "load.arm", null),
  };
}

function balanceIn(read: Reading): AxisElement["balance"] {
  const rows = read.rows("strand", ["at", "force"]);
  if (rows.length === 0 && !read.has("strands")) return null;
  read.want("strand", rows.length >= 2, "too-few");
  const points = rows.map((row) => {
    const extensionMm = read.length(`${row}.at`);
    read.want(`${row}.at`, !(extensionMm < 0), "too-small");
    return { extensionMm, forceN: force(read, `${row}.force`, "from-0") };
  });
  for (const [i, row] of rows.entries()) {
    const [point, before] = [points[i], points[i - 1]];
    if (!point || !before) continue;
    read.want(`${row}.at`, !(point.extensionMm <= before.extensionMm), "too-small");
    read.want(`${row}.force`, !(point.forceN < before.forceN), "too-small");
  }
  const extensionAtTopMm = read.length("strand.top");
  read.want("strand.top", !(extensionAtTopMm < 0), "too-small");
  return {
    points,
    strands: count(read, "strands", 0),
    reeving: positiveOr(read, "reeving", 1),
    extensionAtTopMm,
    maxExtensionMm: over0Or(read, "strand.most", null),
  };
}

function motorIn(read: Reading): AxisElement["motor"] {
  const rows = read.rows("gear", ["name", "ratio", "efficiency"]);
  if (rows.length === 0 && !read.has("motorTorque")) return null;
  read.want("gear", rows.length >= 1, "too-few");
  const torqueNm = read.torque("motorTorque");
  read.want("motorTorque", !(torqueNm <= 0), "too-small");
  return {
    torqueNm,
    gears: rows.map((row) => {
      const percent = positiveNumber(read, `${row}.efficiency`);
      read.want(`${row}.efficiency`, !(percent > 100), "too-large");
      return {
        name: read.words(`${row}.name`),
        ratio: positiveNumber(read, `${row}.ratio`),
        efficiency: percent / 100,
      };
    }),
  };
}
