import * as z from "zod";
import { words } from "../input";

export const mostNoteLetters = 4000;
export const noteInput = z.object({ kind: z.literal("note"), text: words(mostNoteLetters) });
