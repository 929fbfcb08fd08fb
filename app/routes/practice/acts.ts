import { jsonObject } from "~/app/session/json-object";
import { asPersonJson, everyRole } from "~/app/session/session.server";
import { practise } from "~/operations/practice/practise";
import type { Route } from "./+types/acts";

/** Something done to a practice machine, and what came of it. */
export const action = ({ params, context, request }: Route.ActionArgs) =>
  asPersonJson(context, everyRole, async (asked) => {
    const input = await jsonObject(request);
    const done = await practise(asked, { ...input, lessonId: params.lessonId });
    return done.ok ? Response.json({ answer: done.value }) : Response.json({ refusal: done.refusal }, { status: 422 });
  });
