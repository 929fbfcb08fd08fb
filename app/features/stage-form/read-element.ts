import type { PairGeometry } from "~/core/gears";
import { parseNumber } from "~/core/quantity";
import { type Idler, type Moved, type StageElement, type StageKind, type SwitchGear, stageKinds } from "~/core/stages";
import { type Read, Reader, readPitch, type Texts } from "./reader";

export const kindOf = (texts: Texts): StageKind => stageKinds.find((kind) => kind === texts.kind) ?? "gear-pair";

/** The element that the fields of its kind describe, as far as they can be read; whether it has a geometry is another question. */
export function readElement(texts: Texts): Read<StageElement> {
  const read = new Reader(texts);
  const form = new Forms(read);
  const element = (): StageElement => {
    switch (kindOf(texts)) {
      case "gear-pair":
        return form.gearPair();
      case "worm":
        return form.worm();
      case "bevel":
        return form.bevel();
      case "planetary":
        return form.planetary();
      case "toothed-belt":
        return {
          kind: "toothed-belt",
          pitchMm: form.over0("beltPitch"),
          teeth: form.teeth(),
          beltTeeth: form.count("beltTeeth", 6),
          ...form.belt(),
        };
      case "v-belt":
        return {
          kind: "v-belt",
          pitchDiameterMm: [form.over0("d1"), form.over0("d2")],
          lengthMm: form.over0("beltLength"),
          belts: read.has("belts") ? form.count("belts", 1) : 1,
          ...form.belt(),
        };
      case "chain":
        return {
          kind: "chain",
          pitchMm: form.over0("beltPitch"),
          teeth: form.teeth(),
          links: form.count("links", 4),
          ...form.run(),
          inclinationDeg: read.angleOr("incline", 0),
        };
      case "gap":
        return form.gap();
    }
  };
  return read.done(element());
}

/** Fields of each kind, read one by one with what is wrong noted at its name. */
class Forms {
  constructor(private readonly read: Reader) {}

  over0(name: string): number {
    const value = this.read.length(name);
    this.read.want(name, value > 0, "too-small");
    return value;
  }
  over0Or<T>(name: string, usual: T): number | T {
    return this.read.has(name) ? this.over0(name) : usual;
  }
  count(name: string, least: number): number {
    const value = this.read.number(name, true);
    this.read.want(name, value >= least, least === 3 ? "teeth-too-few" : "too-small");
    this.read.want(name, value <= 10_000, "too-large");
    return value;
  }
  teeth(): [number, number] {
    return [this.count("z1", 3), this.count("z2", 3)];
  }
  pressureAngle(): number {
    const value = this.read.angleOr("alpha", 20);
    this.read.want("alpha", value > 5 && value < 45, "angle-out-of-range");
    return value;
  }
  pitch(name: string): number {
    const pitch = readPitch(this.read.text(name));
    if (!pitch.ok) this.read.problems[name] = pitch.refusal;
    const value = pitch.ok ? pitch.value : Number.NaN;
    this.read.want(name, value <= 100, "too-large");
    return value;
  }
  choice<T extends string>(name: string, options: readonly [T, ...T[]]): T {
    return options.find((option) => option === this.read.text(name)) ?? options[0];
  }

  pair(): PairGeometry {
    const { read } = this;
    const helix = read.angleOr("helix", 0);
    read.want("helix", Math.abs(helix) < 60, "too-large");
    const face = this.over0Or("face", undefined);
    return {
      teeth: this.teeth(),
      moduleMm: this.pitch("pitch"),
      pressureAngleDeg: this.pressureAngle(),
      helixAngleDeg: this.choice("helixHand", ["right", "left"]) === "left" ? -Math.abs(helix) : helix,
      profileShift: [read.numberOr("x1", 0), read.numberOr("x2", 0)],
      thinningMm: [read.numberOr("thin1", 0), read.numberOr("thin2", 0)],
      ...(face === undefined ? {} : { faceWidthMm: face }),
      internal: read.text("internal") === "yes",
      centreDistanceMm: this.over0("centres"),
    };
  }

  gearPair(): StageElement {
    const { read } = this;
    const pair = this.pair();
    const both = (name: string): [number | null, number | null] => [
      this.over0Or(`${name}1`, null),
      this.over0Or(`${name}2`, null),
    ];
    const [boresMm, keywaysMm] = [both("bore"), both("key")];
    const known = (pairOf: readonly (number | null)[]) => pairOf.some((value) => value !== null);
    return {
      kind: "gear-pair",
      pair,
      parts: {
        ...(read.has("material1") || read.has("material2")
          ? { materials: [read.text("material1"), read.text("material2")] as const }
          : {}),
        ...(known(boresMm) ? { boresMm } : {}),
        ...(known(keywaysMm) ? { keywaysMm } : {}),
        ...(read.has("pitch2") ? { gearModuleMm: this.pitch("pitch2") } : {}),
      },
      ...(read.text("switches") === "yes" ? { gearName: read.words("gearName"), gears: this.otherGears() } : {}),
    };
  }

  /** "high 30 30" or "high 30 30 0.2 0.1", one gear a line; the last two are shifts. */
  private otherGears(): SwitchGear[] {
    const gears = lines(this.read.text("gears")).flatMap((line): SwitchGear[] => {
      const [, name, rest] = /^(.*?)\s+([\d\s.,:-]+)$/.exec(line) ?? [];
      const numbers = (rest ?? "")
        .split(/[\s:]+/)
        .filter(Boolean)
        .map((part) => parseNumber(part));
      const [z1, z2, x1, x2] = numbers.map((number) => (number.ok ? number.value : Number.NaN));
      const good = name && Number.isInteger(z1) && Number.isInteger(z2) && (z1 ?? 0) >= 3 && (z2 ?? 0) >= 3;
      if (!good) this.read.problems.gears = { code: "not-a-gear", path: ["gears"], facts: { text: line } };
      return good ? [{ name, teeth: [z1 as number, z2 as number], profileShift: [x1 ?? 0, x2 ?? 0] }] : [];
    });
    this.read.want("gears", gears.length > 0, "one-gear-only");
    return gears;
  }

  worm(): StageElement {
    const hand = this.choice("hand", ["right", "left"]);
    return {
      kind: "worm",
      hand,
      worm: {
        wormStarts: this.count("starts", 1),
        wheelTeeth: this.count("z2", 3),
        axialModuleMm: this.pitch("pitch"),
        wormPitchDiameterMm: this.over0("d1"),
        pressureAngleDeg: this.pressureAngle(),
        centreDistanceMm: this.over0("centres"),
      },
    };
  }

  bevel(): StageElement {
    const { read } = this;
    const shafts = read.angleOr("shafts", 90);
    read.want("shafts", shafts > 0 && shafts < 180, "angle-out-of-turn");
    const spiral = read.angleOr("spiral", 0);
    read.want("spiral", Math.abs(spiral) < 60, "too-large");
    const face = this.over0Or("face", undefined);
    return {
      kind: "bevel",
      shimmed: this.choice("shimmed", ["gear", "pinion"]),
      ...(face === undefined ? {} : { faceWidthMm: face }),
      bevel: {
        teeth: this.teeth(),
        moduleMm: this.pitch("pitch"),
        shaftAngleDeg: shafts,
        pressureAngleDeg: this.pressureAngle(),
        spiralAngleDeg: this.choice("hand", ["right", "left"]) === "left" ? -Math.abs(spiral) : spiral,
      },
    };
  }

  planetary(): StageElement {
    const { read } = this;
    const compound = read.text("planetary") === "compound";
    const moduleMm = read.has("pitch") ? this.pitch("pitch") : undefined;
    const shared = {
      sun: this.count("sun", 3),
      planets: this.count("planets", 1),
      ...(moduleMm === undefined ? {} : { moduleMm }),
    };
    if (!compound) {
      const member = (name: string, usual: "ring" | "sun" | "carrier") =>
        (["sun", "carrier", "ring"] as const).find((known) => known === read.text(name)) ?? usual;
      return {
        kind: "planetary",
        set: {
          kind: "simple",
          ...shared,
          planet: [this.count("planetA", 3)],
          ring: [this.count("ring1", 3)],
          fixed: member("fixed", "ring"),
          input: member("input", "sun"),
          output: member("output", "carrier"),
        },
      };
    }
    const member = (name: string, usual: "ring1" | "sun" | "ring2") =>
      (["sun", "carrier", "ring1", "ring2"] as const).find((known) => known === read.text(name)) ?? usual;
    return {
      kind: "planetary",
      set: {
        kind: "compound-two-ring",
        ...shared,
        planet: [this.count("planetA", 3), this.count("planetB", 3)],
        ring: [this.count("ring1", 3), this.count("ring2", 3)],
        fixed: member("fixed", "ring1"),
        input: member("input", "sun"),
        output: member("output", "ring2"),
      },
    };
  }

  gap(): StageElement {
    return {
      kind: "gap",
      what: this.choice("gapWhat", ["end-float", "pinion-clearance", "running-clearance"]),
      places: this.read.has("gapPlaces") ? this.count("gapPlaces", 1) : 1,
      diameterMm: this.over0("gapDiameter"),
    };
  }

  run(): { centreDistanceMm: number; idlers: Idler[]; moved: Moved } {
    const idlers = this.idlers();
    const which = this.read.text("moved");
    const moved: Moved = which === "" || which === "centres" ? "centres" : Number(which);
    this.read.want("moved", moved === "centres" || moved < idlers.length, "no-such-idler");
    return { centreDistanceMm: this.over0("centres"), idlers, moved };
  }

  belt() {
    const stiffness = this.read.has("stiffness") ? this.read.force("stiffness") : null;
    this.read.want("stiffness", stiffness === null || stiffness > 0, "too-small");
    return {
      ...this.run(),
      massKgPerM: this.read.number("mass"),
      stiffnessN: stiffness,
      bendingStiffnessNMm2: this.read.numberOr("bending", 0),
    };
  }

  /** "150 -40 60 outside lower", one idler a line: x and y from the driver's middle, diameter, side, strand. */
  private idlers(): Idler[] {
    return lines(this.read.text("idlers")).flatMap((line): Idler[] => {
      const [x, y, d, ...words] = line.split(/\s+/);
      const [px, py, pd] = [x, y, d].map((part) => parseNumber(part ?? ""));
      const side = words.find((word) => word === "inside" || word === "outside");
      const strand = words.find((word) => word === "lower" || word === "upper");
      if (!px?.ok || !py?.ok || !pd?.ok || pd.value <= 0) {
        this.read.problems.idlers = { code: "not-an-idler", path: ["idlers"], facts: { text: line } };
        return [];
      }
      return [
        {
          x: px.value,
          y: py.value,
          diameterMm: pd.value,
          side: (side ?? "outside") as Idler["side"],
          strand: (strand ?? (py.value > 0 ? "upper" : "lower")) as Idler["strand"],
        },
      ];
    });
  }
}

const lines = (text: string): string[] =>
  text
    .split(/\n|;/)
    .map((line) => line.trim())
    .filter((line) => line !== "");
