import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import { lengthWords, spoken } from "~/app/features/words/spoken";
import type { ChainElement } from "~/core/stages";
import { type PullAtPlace, pullAtPlace, type ToothedBeltElement, type VBeltElement } from "~/core/stages";

const force = (reader: Reader, { pullN }: PullAtPlace): string => spoken(reader, "N", 0).said(pullN);
const nothing = { said: "fewer than two teeth are in mesh, or it has no path.", bench: null };

export function toothedPull(reader: Reader, element: ToothedBeltElement, torqueNm: number) {
  const pull = pullAtPlace(element, torqueNm);
  if (!pull) return nothing;
  const { pitchMm, teeth, widthMm } = element;
  const left =
    pull.meshFactor < 1 ? `, which leave ${formatNumber(reader, 100 * pull.meshFactor, 0)} % of its rating` : "";
  const width =
    pull.perMmN === null || widthMm === undefined
      ? "its width is not known"
      : `${formatNumber(reader, pull.perMmN, 1)} N on each mm of its ${lengthWords(reader, widthMm, 0)}`;
  const asked = new URLSearchParams({
    torque: String(Number(Math.abs(torqueNm).toFixed(4))),
    pitch: String(pitchMm),
    teeth: String(teeth[0]),
    mesh: String(pull.teethInMesh),
    stock: "6 9 15 25 50",
  });
  return {
    said: `${force(reader, pull)}; ${pull.teethInMesh} teeth in mesh${left}; ${width}.`,
    bench: `/bench/belt-width?${asked}`,
  };
}

export function vPull(reader: Reader, element: VBeltElement, torqueNm: number) {
  const pull = pullAtPlace(element, torqueNm);
  return pull ? { said: `${force(reader, pull)}${element.belts > 1 ? " in each belt" : ""}.`, bench: null } : nothing;
}

export function chainPull(reader: Reader, element: ChainElement, torqueNm: number) {
  const pull = pullAtPlace(element, torqueNm);
  return pull ? { said: `${force(reader, pull)}.`, bench: null } : nothing;
}
