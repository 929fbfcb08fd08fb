/** `turn`: so far round a pulley, `round`: so far along a chain; both are told as parts of it, not counted. */
export const placeWords = ["tooth", "place", "link", "turn", "round"] as const;
export type PlaceWord = (typeof placeWords)[number];

/** Where a stage is read: places round the turn of one of its parts, from 1 at the witness mark; belts of a set one after the other. */
export type Frame = {
  word: PlaceWord;
  /** On one turn, of one belt. */
  places: number;
  belts: number;
  /** Tooth counts that tell the hunting cycle apart; null where one part alone comes round. */
  teeth: readonly [number, number] | null;
  /** Whether a wave round the turn is to be expected: parts that turn about a fixed axis and may stand off centre. */
  wave: boolean;
  /** Places to read in a round, unless its teeth have a plan of their own. */
  usual: number;
  /** Its places are both ends of a travel, the low one first, each set by itself: what is read at one says nothing of the other. */
  ends?: true | undefined;
  /** Of the places, from the first, where they have any. */
  names?: readonly string[] | undefined;
};

/** Marks on a smooth pulley or a carrier. */
export const marks = 8;

/** One part that comes round, without a second one's teeth. */
export const oneTurn = (frame: Pick<Frame, "word" | "places" | "wave" | "usual" | "names" | "ends">): Frame => ({
  belts: 1,
  teeth: null,
  ...frame,
});

export const placeCount = ({ places, belts }: Frame): number => places * belts;

/** Which belt a place lies on, and which place of that belt it is; both from 1. */
export const onBelt = ({ places }: Frame, place: number): { belt: number; place: number } => ({
  belt: Math.floor((place - 1) / places) + 1,
  place: ((place - 1) % places) + 1,
});

/** Cumulative angle of a place, on a turn counted from 1. */
export const placeAngle = (frame: Frame, { tooth, turn }: { tooth: number; turn: number }): number =>
  (((turn - 1) * frame.places + onBelt(frame, tooth).place - 1) * 360) / frame.places;

/** The fewest places that say how a stage stands: three round a turn, every belt of a set, all of a gap. */
export const leastPlaces = (frame: Frame): number =>
  frame.belts > 1
    ? placeCount(frame)
    : frame.wave
      ? Math.min(3, frame.places)
      : frame.word === "link" || frame.word === "round"
        ? 2
        : frame.places;
