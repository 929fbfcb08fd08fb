import * as z from "zod";
import { text, words } from "../schemas";
import { kindsOfStock, storeKinds } from "../stores";
import { storeItemId } from "./ids";

const size = z.number().gt(0).lte(1e6);

const figureValue = z.union([z.number().gte(-1e6).lte(1e6), text(80).trim()]);
export const figuresSchema = z.record(z.string().max(40), figureValue);

/** What people say of something in a drawer. */
const said = z.object({
  kind: z.enum(storeKinds),
  name: words(120),
  /** By which it is chosen, mm; null for a kind without such a size. */
  nominalMm: size.nullable().default(null),
  /** As measured, where somebody did. */
  measuredMm: size.nullable().default(null),
  figures: figuresSchema.default({}),
  place: text(80).trim().default(""),
  price: z.number().gte(0).lte(1e9).nullable().default(null),
  /** No longer made. */
  gone: z.boolean().default(false),
});

export const itemFields = said.superRefine(({ kind, nominalMm, figures }, context) => {
  if (kindsOfStock[kind].nominal !== null && nominalMm === null)
    context.addIssue({ code: "custom", params: { code: "missing" }, path: ["nominalMm"] });
  const known = kindsOfStock[kind].figures;
  const strange = Object.keys(figures).find((key) => !known.some((figure) => figure.key === key));
  if (strange) context.addIssue({ code: "custom", params: { code: "not-of-this-kind" }, path: ["figures", strange] });
});

export const storeItemRecord = said.extend({ id: storeItemId, count: z.number().int() });
export type StoreItem = z.output<typeof storeItemRecord>;
