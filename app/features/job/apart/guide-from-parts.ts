import type { GuidePart, PartSpacer } from "~/core/guides";
import type { PartNow } from "~/core/logbook";
import type { PartPhotograph } from "../entries/job-loaded";

/**
 * What came off, as a guide: in the order in which it went together again, and what is still off the last off first. A washer that was laid in beside a bearing becomes
 * its spacer. Of a part whose screws nobody counted the guide has none.
 *
 * @param before parts of the guide that was followed: what it knew and nobody saw anew stays
 */
export function guideFromParts(
  parts: readonly PartNow[],
  photographs: readonly PartPhotograph[],
  before: readonly GuidePart[],
): GuidePart[] {
  const cameOff = parts
    .flatMap(({ off, ...part }) => (off ? [{ ...part, off }] : []))
    .sort((a, b) => (a.on && b.on ? a.on.seq - b.on.seq : a.on ? -1 : b.on ? 1 : b.off.seq - a.off.seq));
  const made = cameOff.map(({ key, name, off, seat }): GuidePart => {
    const known = before.find(({ id }) => id === key);
    const { body } = off;
    const laid = (seat?.body.laid ?? []).map(
      ({ thicknessMm, count }): PartSpacer => ({
        widthMm: thicknessMm,
        count,
        race: seat?.body.race ?? "none",
      }),
    );
    return {
      id: key,
      name,
      massKg: body.massKg ?? known?.massKg ?? null,
      screws:
        body.screws
          ?.map((set, i) => {
            const was = known?.screws[i];
            const same = was?.size === set.size ? was : undefined;
            return {
              ...set,
              into: same?.into ?? "metal",
              compound: same?.compound ?? false,
              torqueNm: same?.torqueNm ?? null,
              propertyClass: same?.propertyClass ?? null,
            };
          })
          .filter(({ count }) => count > 0) ??
        known?.screws ??
        [],
      side: body.side || (known?.side ?? ""),
      facing: body.facing || (known?.facing ?? ""),
      mark: body.mark || (known?.mark ?? ""),
      spacers: withLaid(body.spacers.length > 0 ? body.spacers : (known?.spacers ?? []), laid),
      beforeHidden: body.beforeHidden || (known?.beforeHidden ?? ""),
      asItGoesOn: known?.asItGoesOn ?? "",
      tools: known?.tools ?? "",
      after: known?.after ?? [],
      hides: known?.hides ?? [],
      photographs: [
        ...photographs.filter(({ of }) => of === off.id).map(({ id }) => id),
        ...(known?.photographs ?? []),
      ].slice(0, mostPhotographs),
    };
  });
  // What the guide has and was not taken off this time stays where it was: below.
  const others = before.filter(({ id }) => !made.some((part) => part.id === id));
  return [...others, ...made];
}

const mostPhotographs = 12;

/** A washer laid in once more is still the one that the guide has. */
const withLaid = (spacers: readonly PartSpacer[], laid: readonly PartSpacer[]): PartSpacer[] => [
  ...spacers,
  ...laid.filter(({ widthMm }) => !spacers.some((spacer) => Math.abs(spacer.widthMm - widthMm) < 0.0005)),
];
