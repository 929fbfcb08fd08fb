import * as z from "zod";
import { type Verdict, verdicts } from "../../core/limits";
import { accept, type Result, refuse } from "../../core/quantity";
import { standOnShaft } from "../../core/shafts";
import { type ShaftAnswer, type ShaftItem, shaftStack, shaftWithMade } from "../../core/stacks";
import { finite, notNegative, ordered, positive } from "../fields";
import { tool } from "../tool";
import { stockShape } from "./shim-stack";

const spacers = z.array(z.strictObject({ widthMm: z.number(), count: z.number() }));

const judged = { expandedUncertaintyMm: z.number().optional(), verdict: z.enum(verdicts).optional() };

const item = z.strictObject({
  id: z.string().min(1).max(80),
  widthMm: positive,
  planeAtMm: finite.optional(),
  planeMm: finite.default(0),
  toleranceMm: notNegative.default(0.1),
  /** Of the width, k = 2; with that of all widths and of the length, planes and float are judged. */
  expandedUncertaintyMm: notNegative.optional(),
});

export const shaftStackTool = tool({
  name: "shaft-stack",
  purpose:
    "the spacers between the parts on a shaft that put every working plane where it must stand and leave the end float",
  input: z.strictObject({
    lengthMm: positive,
    lengthUncertaintyMm: notNegative.optional(),
    items: z.array(item).max(100).superRefine(eachOnce),
    spacers: z.array(z.strictObject({ widthMm: positive, ...stockShape })).max(200),
    endFloat: z.strictObject({ loMm: finite, hiMm: finite }).superRefine(ordered("loMm", "hiMm")),
    /** One spacer of a free width, to be made, stands behind this item, or "left-face". */
    makeAfter: z.string().max(80).optional(),
  }),
  output: z.strictObject({
    feasible: z.boolean(),
    gaps: z.array(z.strictObject({ after: z.string(), spacers, totalMm: z.number() })),
    planes: z.array(z.strictObject({ id: z.string(), atMm: z.number(), errorMm: z.number(), ...judged })),
    endFloatMm: z.number(),
    /** null: that gap leaves no room for one of half a millimetre. */
    makeMm: z.number().nullable().optional(),
    endFloat: z.strictObject(judged).optional(),
  }),
  run: (input) => {
    const { makeAfter, items } = input;
    if (makeAfter === undefined) return found(input, shaftStack(input));
    const gap = makeAfter === "left-face" ? 0 : items.findIndex(({ id }) => id === makeAfter) + 1;
    if (gap === 0 && makeAfter !== "left-face") return refuse("not-listed", ["makeAfter"]);
    const made = shaftWithMade(input, gap);
    if (!made.ok) return made;
    if (!made.value) {
      const without = found(input, shaftStack(input));
      return without.ok ? accept({ ...without.value, makeMm: null }) : without;
    }
    const { made: own, ...answer } = made.value;
    const result = found(input, accept(answer), own);
    return result.ok ? accept({ ...result.value, makeMm: own.widthMm }) : result;
  },
});

/** The answer names gaps and planes by id: each item has its own, and none is the left face. */
function eachOnce(items: readonly { id: string }[], context: z.RefinementCtx): void {
  items.forEach(({ id }, index) => {
    if (id !== "left-face" && items.findIndex((other) => other.id === id) === index) return;
    context.addIssue({
      code: "custom",
      params: { code: "id-twice" },
      message: "every item needs an id of its own",
      path: [index, "id"],
    });
  });
}

type Asked = {
  lengthMm: number;
  lengthUncertaintyMm?: number | undefined;
  items: readonly (ShaftItem & { expandedUncertaintyMm?: number | undefined })[];
  endFloat: { loMm: number; hiMm: number };
};

/** The answer, judged where every width is known to something. */
function found(
  { lengthMm, lengthUncertaintyMm, items, endFloat }: Asked,
  answer: Result<ShaftAnswer>,
  made: { after: string; widthMm: number } | null = null,
) {
  if (!answer.ok) return answer;
  const known = lengthUncertaintyMm !== undefined && items.every((one) => one.expandedUncertaintyMm !== undefined);
  if (!known) return answer;
  const stands = standOnShaft({
    length: { mm: lengthMm, expandedUncertaintyMm: lengthUncertaintyMm },
    parts: items.map(({ id, widthMm, planeMm, planeAtMm, toleranceMm, expandedUncertaintyMm: u }) => ({
      key: id,
      mm: widthMm,
      expandedUncertaintyMm: u ?? null,
      ...(planeAtMm === undefined ? {} : { planeMm: { onPartMm: planeMm, wantedMm: planeAtMm, toleranceMm } }),
    })),
    laidMm: answer.value.gaps.map(({ after, totalMm }) => totalMm + (made?.after === after ? made.widthMm : 0)),
    endFloat,
    floatRead: null,
  });
  const said = (of: { expandedUncertaintyMm: number | null; verdict: Verdict | null }) => ({
    expandedUncertaintyMm: of.expandedUncertaintyMm ?? 0,
    verdict: of.verdict ?? undefined,
  });
  return accept({
    ...answer.value,
    planes: answer.value.planes.map((plane) => {
      const stood = stands.planes.find(({ key }) => key === plane.id);
      return stood ? { ...plane, ...said(stood) } : plane;
    }),
    endFloat: said(stands.endFloat),
  });
}
