/** Words of the trade, each in a sentence or two, as a practised hand would say it to a new one. */
export const terms = {
  uncertainty:
    "How far a reading may lie from what is really there: the step of the instrument, its certificate, the way it is held and how well repeats agree, taken together and doubled. Nineteen times in twenty the truth lies within.",
  "guard band":
    "A strip as wide as the uncertainty along each limit. Inside is only what is clear of it, outside only what is surely beyond; in between is near the edge.",
  response:
    "What a unit of the adjuster really does on this machine. Every move between two rounds teaches it; until then its law is taken.",
  "hunting cycle":
    "The turns until the same two teeth meet again. Readings on one turn may miss the pair that binds, so the worst is looked for over all of them.",
  waves:
    "Parts that stand off centre make the reading rise and fall once a turn of each. How high each wave is says which of them is not round.",
  "lost motion":
    "How far one end can be turned before the other moves, all stages together, in minutes of arc: sixty are one degree.",
  drift:
    "How a reading changes over months while nothing is moved: the slope of its rounds, and when it leaves the limits.",
  "tight spot":
    "The place round the turn where there is least play. It is set there, for everywhere else there is more.",
} as const;
export type TermName = keyof typeof terms;
