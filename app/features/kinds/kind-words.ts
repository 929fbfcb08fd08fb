import type { ReactNode } from "react";
import type { Reader } from "~/app/features/words/reader";
import type { StrandShape } from "~/core/chains";
import type { RoundFit } from "~/core/rounds";
import type { Elements, SideQuantity, StageKind } from "~/core/stages";

export type ThrustWords = { driver: string; driven: string; seen: string; friction: string };
export type Way = "apart" | "together";

/** Everything that is said of a kind of stage alone. */
export type KindWords<K extends StageKind> = {
  /** "worm and wheel". */
  name: string;
  /** What hurts people on it: said where it is made safe. */
  caution: string;
  /** Teeth or diameters, as they stand beside a stage's name; empty for what has none. */
  size: (reader: Reader, element: Elements[K]) => string;
  /** The stage in a line; `head` is its name with its size. */
  line: (reader: Reader, element: Elements[K], head: string) => string;
  /** Of what its parts are made; empty: nobody said. */
  madeOf: (element: Elements[K]) => string;
  /** What the round is drawn in, with so many places. */
  drawn: (places: number) => string;
  /** What its tight spot is called. */
  tightSpot: (element: Elements[K]) => string;
  /** What has to be done before a reading means anything. */
  beforeReading: (element: Elements[K]) => string;
  /** Where to stand the part while setting: `where` names the place. */
  stand: (where: ReactNode) => ReactNode;
  /** Which way parts the two, or brings them together, in the words of the part. */
  parting: (element: Elements[K], way: Way) => string;
  /** What is wrong where the spread is wider than the limits lie apart. */
  notRound: (element: Elements[K]) => string;
  /** Why nothing can be moved. */
  nothingToAdjust: string;
  /** What a millimetre of the adjuster's way does, with the formula and its source. */
  sensitivity: (reader: Reader, element: Elements[K], sensitivity: number, strand: StrandShape) => string;
  /** What comes round with the turn; null: as of any part. */
  waves: (reader: Reader, element: Elements[K], fit: RoundFit) => string | null;
  /** What is to be known of something read beside it; empty: nothing. */
  side: (element: Elements[K], quantity: SideQuantity) => string;
  /** What is to be felt after every part of a move; null: nothing. */
  afterEachPart: (reader: Reader, element: Elements[K]) => string | null;
  /** What is to be seen before it is closed; left out: nothing of its own. */
  lookOver?: readonly string[];
  /** What it loads beside itself at the mean of what was read, by name; left out: nothing is known. */
  loads?: (reader: Reader, element: Elements[K], mean: number) => readonly [name: string, said: string] | null;
  /** What it has to pull at a torque of its driver, and where the Bench says how strong it need be; left out: it pulls nothing. */
  pulls?: (reader: Reader, element: Elements[K], torqueNm: number) => { said: string; bench: string | null };
  /** When a strand that was set is to be looked at again; left out: as anything is. */
  lookAgain?: string;
  /** Days after which a new one is looked at again (common practice); left out: it need not run in. */
  runInDays?: number;
  /** How its axial thrust is told; null: it has none. */
  thrust: ThrustWords | null;
  /** What else is to be known of it, by name; left out: nothing. */
  facts?: (reader: Reader, element: Elements[K]) => (readonly [name: string, said: string])[];
  /** What its positive direction does, and its negative one. */
  ways: readonly [apart: string, together: string];
};

export const tightSpotOf = {
  mesh: "the tight spot",
  belt: "the tightest place",
  chain: "the tightest place of the chain",
  coupling: "the place",
  gap: "the narrowest place",
} as const;

/** An element of the kind in a line: "toothed belt 20 : 60, pitch 5 mm, 120 teeth". */
export const lineOf = <K extends StageKind>(words: KindWords<K>, reader: Reader, element: Elements[K]): string =>
  words.line(reader, element, `${words.name} ${words.size(reader, element)}`.trim());
