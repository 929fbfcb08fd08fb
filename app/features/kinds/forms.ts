import type { Reader } from "~/app/features/words/reader";
import { type Elements, type StageElement, type StageKind, stageKinds } from "~/core/stages";
import type { Read } from "../form/text-reader";
import type { Texts } from "../form/texts";
import { axis } from "./axis/form";
import { bevel } from "./bevel/form";
import { chain } from "./chain/form";
import { coupling } from "./coupling/form";
import { gap } from "./gap/form";
import { gearPair } from "./gear-pair/form";
import { type Figure, type KindForm, readKind } from "./kind-form";
import { planetary } from "./planetary/form";
import { toothedBelt } from "./toothed-belt/form";
import { vBelt } from "./v-belt/form";
import { worm } from "./worm/form";

export const kindForms: { readonly [K in StageKind]: KindForm<K> } = {
  "gear-pair": gearPair,
  worm,
  bevel,
  planetary,
  "toothed-belt": toothedBelt,
  "v-belt": vBelt,
  chain,
  coupling,
  gap,
  axis,
};

export const formOf = <K extends StageKind>(element: Elements[K] & { kind: K }): KindForm<K> => kindForms[element.kind];

/** The kind that is chosen in a form. */
export const kindIn = (texts: Texts): StageKind => stageKinds.find((kind) => kind === texts.kind) ?? "gear-pair";

/** The element that the fields of the chosen kind describe. */
export const readElement = (texts: Texts): Read<StageElement> =>
  readKind<StageElement>(kindForms[kindIn(texts)], texts);

/** The fields of an element that is there already. */
export const textsOfElement = (reader: Reader, element: StageElement): Texts => formOf(element).texts(reader, element);

/** What follows from an element. */
export const figuresOf = (reader: Reader, element: StageElement): readonly Figure[] =>
  formOf(element).figures(reader, element);
