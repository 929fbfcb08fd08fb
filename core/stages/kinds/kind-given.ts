import type { Result } from "../../quantity";
import type { Elements, StageKind } from "../element";
import type { SideQuantity } from "../quantities";
import type { AskedFor, Recommended } from "../rule";
import type { Unwise } from "../unwise";

/** What is said of a kind of stage as its geometry and limits are given; apart, for nobody who reads or sets a stage needs it. */
export type KindGiven<K extends StageKind> = {
  check: (element: Elements[K]) => Result<Unwise[]>;
  recommend: (element: Elements[K], asked: AskedFor) => Recommended | null;
  recommendSide: (element: Elements[K], quantity: SideQuantity, asked: AskedFor) => Recommended | null;
  /** Of a mirror-built machine. */
  mirrored: (element: Elements[K]) => Elements[K];
};
