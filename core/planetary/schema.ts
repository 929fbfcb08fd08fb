import * as z from "zod";
import { positive, toothCount } from "../schemas";

const shared = { sun: toothCount, planets: z.number().int().gte(1).lte(100), moduleMm: positive.optional() };
const simpleMember = z.enum(["sun", "carrier", "ring"]);
const compoundMember = z.enum(["sun", "carrier", "ring1", "ring2"]);

export const planetarySchema = z.discriminatedUnion("kind", [
  z.strictObject({
    kind: z.literal("simple"),
    ...shared,
    planet: z.tuple([toothCount]),
    ring: z.tuple([toothCount]),
    fixed: simpleMember.default("ring"),
    input: simpleMember.default("sun"),
    output: simpleMember.default("carrier"),
  }),
  z.strictObject({
    kind: z.literal("compound-two-ring"),
    ...shared,
    planet: z.tuple([toothCount, toothCount]),
    ring: z.tuple([toothCount, toothCount]),
    fixed: compoundMember.default("ring1"),
    input: compoundMember.default("sun"),
    output: compoundMember.default("ring2"),
  }),
]);
