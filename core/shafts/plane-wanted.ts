import type { Shaft, ShaftPart } from "./schema";

/** A part as it was last fitted on a shaft. */
export type FittedPart = { key: string; mm: number; leftMm: number };
/** A shaft of the machine, and where its parts stood when it was last fitted; null: no job fitted it yet. */
export type KnownShaft = { shaft: Shaft; fitted: readonly FittedPart[] | null };

export type PlaneWanted = {
  partId: string;
  /** From this shaft's left face; null: not known. */
  fromFaceMm: number | null;
  /** With which part of which shaft it must stand in one plane, and from where that is known. */
  meets: { shaftName: string; partName: string; known: "as fitted" | "as drawn" } | null;
  /** Why it is not known. */
  why: "other-shaft-gone" | "faces-not-tied" | "other-plane-not-known" | null;
};

/** From the part's own left side. */
export const planeOnPart = (part: Pick<ShaftPart, "plane">, widthMm: number): number =>
  part.plane?.onPartMm ?? widthMm / 2;

/**
 * Where the planes of a shaft must stand, from its left face. One that must meet a plane of another shaft is known where both left faces
 * are known on the machine and that plane is: as the other shaft was last fitted, or else as it is drawn.
 */
export const planesWanted = (shaft: Shaft, others: readonly KnownShaft[]): PlaneWanted[] =>
  shaft.parts.flatMap((part): PlaneWanted[] => {
    if (!part.plane) return [];
    const { at } = part.plane;
    if ("fromFaceMm" in at) return [{ partId: part.id, fromFaceMm: at.fromFaceMm, meets: null, why: null }];
    const unknown = (why: PlaneWanted["why"]): PlaneWanted[] => [
      { partId: part.id, fromFaceMm: null, meets: null, why },
    ];
    const other = others.find((one) => one.shaft.shaftId === at.shaftId);
    const met = other?.shaft.parts.find(({ id }) => id === at.partId);
    if (!other || !met) return unknown("other-shaft-gone");
    const [own, others0] = [shaft.leftFaceAtMm, other.shaft.leftFaceAtMm];
    if (own === null || others0 === null) return unknown("faces-not-tied");
    const stands = planeOf(other, met);
    if (!stands) return unknown("other-plane-not-known");
    return [
      {
        partId: part.id,
        fromFaceMm: others0 + stands.mm - own,
        meets: { shaftName: other.shaft.name, partName: met.name, known: stands.known },
        why: null,
      },
    ];
  });

function planeOf({ fitted }: KnownShaft, part: ShaftPart): { mm: number; known: "as fitted" | "as drawn" } | null {
  const stood = fitted?.find(({ key }) => key === part.id);
  if (stood) return { mm: stood.leftMm + planeOnPart(part, stood.mm), known: "as fitted" };
  const at = part.plane?.at;
  return at && "fromFaceMm" in at ? { mm: at.fromFaceMm, known: "as drawn" } : null;
}
