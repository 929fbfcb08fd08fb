import {
  type Symptom,
  symptomDirections,
  symptomKinds,
  symptomLoads,
  symptomPlaces,
  symptomSpeeds,
  symptomWarmths,
} from "~/core/symptoms";
import { severalIn } from "../form/several-field";
import { type Read, TextReader } from "../form/text-reader";
import type { Texts } from "../form/texts";

/** When it does it: what may be said of each. */
export const whens = [
  { name: "direction", legend: "Which way", options: symptomDirections },
  { name: "place", legend: "Where in the turn", options: symptomPlaces },
  { name: "load", legend: "Under load", options: symptomLoads },
  { name: "warmth", legend: "Cold or warm", options: symptomWarmths },
  { name: "speed", legend: "With the speed", options: symptomSpeeds },
] as const;

/** What is sent of it: figures as they were typed. */
export type SymptomSaid = Pick<Symptom, "kinds" | "when"> & {
  words: string;
  perMinute: string;
  offPercent: string;
  taps: number | null;
  motorRpm: string;
  againPerMinute: string;
  againOffPercent: string;
  againMotorRpm: string;
};

/** A second timing, at another speed of the motor. */
export type Again = { perMinute: number; toleranceShare: number; motorRpm: number };

/** The symptom as typed, and what is sent of it. */
export function readSymptom(
  texts: Texts,
): Read<{ symptom: Symptom; motorRpm: number | null; again: Again | null; said: SymptomSaid }> {
  const read = new TextReader(texts);
  const over0 = (name: string): number | null => {
    if (!read.has(name)) return null;
    const value = read.number(name);
    read.want(name, !(value <= 0), "too-small");
    return value;
  };
  const when = Object.fromEntries(
    whens.map(({ name, options }) => [name, options.find((option) => option === read.text(name)) ?? null]),
  ) as Symptom["when"];
  const kinds = severalIn(symptomKinds, read.text("kinds"));
  const perMinute = over0("perMinute");
  const offIn = (name: string) => {
    const off = read.has(name) ? read.number(name) : 5;
    read.want(name, !(off < 0), "too-small");
    read.want(name, !(off >= 50), "too-large");
    return off / 100;
  };
  const toleranceShare = offIn("offPercent");
  const [againPerMinute, againMotorRpm] = [over0("againPerMinute"), over0("againMotorRpm")];
  const againShare = offIn("againOffPercent");
  const twice = againPerMinute !== null || againMotorRpm !== null;
  read.want("againPerMinute", !twice || againPerMinute !== null, "missing");
  read.want("againMotorRpm", !twice || againMotorRpm !== null, "missing");
  read.want("perMinute", !twice || perMinute !== null, "missing");
  const motorRpm = over0("motorRpm");
  read.want("words", kinds.length > 0 || perMinute !== null || read.has("words"), "nothing-noted");
  const taps = Number(read.text("taps"));
  return read.done({
    symptom: { kinds, when, heard: perMinute === null ? null : { perMinute, toleranceShare } },
    motorRpm,
    again:
      againPerMinute === null || againMotorRpm === null
        ? null
        : { perMinute: againPerMinute, toleranceShare: againShare, motorRpm: againMotorRpm },
    said: {
      ...{ kinds, when, words: read.text("words"), perMinute: read.text("perMinute") },
      ...{ offPercent: read.text("offPercent"), motorRpm: read.text("motorRpm") },
      ...{ againPerMinute: read.text("againPerMinute"), againOffPercent: read.text("againOffPercent") },
      againMotorRpm: read.text("againMotorRpm"),
      taps: Number.isInteger(taps) && taps > 0 ? taps : null,
    },
  });
}
