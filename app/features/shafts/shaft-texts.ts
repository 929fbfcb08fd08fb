import {
  type PlaneTarget,
  type Shaft,
  type ShaftFields,
  type ShaftPart,
  shaftHolds,
  shaftPartKinds,
} from "~/core/shafts";
import { numberText } from "../form/number-text";
import { type Read, TextReader } from "../form/text-reader";
import { rowTexts, type Texts } from "../form/texts";
import { capital } from "../words/count";
import type { Reader } from "../words/reader";
import { holdWords } from "../words/shafts";

const plain = (name: string): string => name.trim().toLowerCase();

export const partColumns = [
  { name: "name", label: "Part", wide: true },
  {
    name: "kind",
    label: "Kind",
    wide: true,
    options: [...shaftPartKinds].reverse().map((value) => ({ value, label: value })),
  },
  { name: "width", label: "Width" },
  {
    name: "hold",
    label: "Held by",
    wide: true,
    options: shaftHolds.map((value) => ({ value, label: holdWords[value] })),
  },
  { name: "clocking", label: "Flats, key", wide: true },
  { name: "facing", label: "Way round", wide: true },
] as const;

export type OtherShaft = Pick<Shaft, "shaftId" | "name" | "parts">;

/** Where planes must stand: so far from the left face, or level with a part of another shaft. */
export const planeColumns = (others: readonly OtherShaft[]) =>
  [
    { name: "part", label: "Part", wide: true },
    { name: "onPart", label: "From its left" },
    {
      name: "meets",
      label: "Level with",
      wide: true,
      options: [
        { value: "", label: "so far from the face" },
        ...others.flatMap(({ shaftId, name, parts }) =>
          parts.map((part) => ({ value: `${shaftId} ${part.id}`, label: `${name}: ${part.name}` })),
        ),
      ],
    },
    { name: "at", label: "From the face" },
    { name: "tolerance", label: "±" },
  ] as const;

/** A shaft as texts. */
export function shaftTexts(reader: Reader, shaft: ShaftFields | null): Texts {
  const figure = (value: number | null | undefined) => numberText(reader, value);
  return {
    name: shaft?.name ?? "",
    leftFace: shaft?.leftFace ?? "",
    rightFace: shaft?.rightFace ?? "",
    length: figure(shaft?.lengthMm),
    diameter: figure(shaft?.diameterMm),
    leftFaceAt: figure(shaft?.leftFaceAtMm),
    lo: figure(shaft?.endFloat.loMm),
    hi: figure(shaft?.endFloat.hiMm),
    ...rowTexts(
      "parts",
      (shaft?.parts ?? []).map(({ id, name, kind, widthMm, hold, clocking, facing }) => ({
        id,
        name,
        kind,
        width: figure(widthMm),
        hold,
        clocking,
        facing,
      })),
    ),
    ...rowTexts(
      "planes",
      (shaft?.parts ?? []).flatMap(({ name, plane }) =>
        plane
          ? [
              {
                part: name,
                onPart: figure(plane.onPartMm),
                meets: "fromFaceMm" in plane.at ? "" : `${plane.at.shaftId} ${plane.at.partId}`,
                at: "fromFaceMm" in plane.at ? figure(plane.at.fromFaceMm) : "",
                tolerance: figure(plane.toleranceMm),
              },
            ]
          : [],
      ),
    ),
  };
}

/**
 * A shaft as typed; planes by the names of their parts. What is wrong is said at its field.
 *
 * @param newId an id for a part that has none
 */
export function readShaft(texts: Texts, newId: () => string): Read<ShaftFields> {
  const read = new TextReader(texts);
  const over0 = (name: string): number | null => {
    const value = read.lengthOrNull(name);
    read.want(name, value === null || !(value <= 0), "too-small");
    return value;
  };
  const rows = read.rows("parts", ["name", "width", "clocking", "facing"]);
  read.want("parts", rows.length > 0, "too-few");
  const named = rows.map((row) => ({ row, id: read.text(`${row}.id`) || newId(), name: read.words(`${row}.name`) }));
  const planes = planesTyped(read, named);
  const parts = named.map(({ row, id, name }, i): ShaftPart => {
    read.want(`${row}.name`, !named.slice(0, i).some((other) => plain(other.name) === plain(name)), "id-twice");
    return {
      id,
      name,
      kind: shaftPartKinds.find((kind) => kind === read.text(`${row}.kind`)) ?? "other",
      widthMm: over0(`${row}.width`),
      plane: planes.get(id) ?? null,
      hold: shaftHolds.find((hold) => hold === read.text(`${row}.hold`)) ?? "nothing",
      clocking: read.text(`${row}.clocking`),
      facing: read.text(`${row}.facing`),
    };
  });
  const endFloat = { loMm: read.length("lo"), hiMm: read.length("hi") };
  read.want("lo", !(endFloat.loMm < 0), "too-small");
  read.want("lo", !(endFloat.loMm > endFloat.hiMm), "window-upside-down");
  const lengthMm = over0("length");
  const widths = parts.reduce((sum, { widthMm }) => sum + (widthMm ?? 0), 0);
  if (lengthMm !== null && widths > lengthMm + 1e-9 && !read.problems.length)
    read.problems.length = { code: "shaft-overlaps-faces", path: ["length"], facts: { widthsMm: widths, lengthMm } };
  return read.done({
    name: read.words("name"),
    leftFace: read.words("leftFace"),
    rightFace: read.words("rightFace"),
    lengthMm,
    diameterMm: over0("diameter"),
    leftFaceAtMm: read.lengthOrNull("leftFaceAt"),
    endFloat,
    parts,
  });
}

function planesTyped(
  read: TextReader,
  named: readonly { id: string; name: string }[],
): ReadonlyMap<string, NonNullable<ShaftPart["plane"]>> {
  const planes = new Map<string, NonNullable<ShaftPart["plane"]>>();
  for (const row of read.rows("planes", ["part", "onPart", "at", "tolerance"])) {
    const part = named.find(({ name }) => plain(name) === plain(read.words(`${row}.part`)));
    read.want(`${row}.part`, part !== undefined, "not-listed");
    if (part) read.want(`${row}.part`, !planes.has(part.id), "id-twice");
    const tolerance = read.length(`${row}.tolerance`);
    read.want(`${row}.tolerance`, !(tolerance < 0), "too-small");
    const onPartMm = read.lengthOrNull(`${row}.onPart`);
    const [shaftId, ...partId] = read.text(`${row}.meets`).split(" ");
    const at: PlaneTarget =
      shaftId && partId.length > 0 ? { shaftId, partId: partId.join(" ") } : { fromFaceMm: read.length(`${row}.at`) };
    if (part) planes.set(part.id, { onPartMm, at, toleranceMm: tolerance });
  }
  return planes;
}

/** "Bearing 6001, press fit; collar to the left". */
export const partSaid = ({ kind, hold, clocking, facing }: ShaftPart): string =>
  capital(
    [kind === "other" ? "" : kind, hold === "nothing" || hold === kind ? "" : holdWords[hold], clocking, facing]
      .filter(Boolean)
      .join(", "),
  );
