/** A tool of the Bench: its name in calc, which is its address, and what a person wants to know. Its page is `tools/<name>.tsx`. */
export type BenchEntry = { tool: string; name: string; question: string };

/** By subject, as the page lists them. */
export const benchGroups: readonly { name: string; tools: readonly BenchEntry[] }[] = [
  {
    name: "Gears",
    tools: [
      {
        tool: "gear-identify",
        name: "What gear is this?",
        question:
          "Module or diametral pitch of a gear in the hand, what it cannot be told from, and whether another meshes with it",
      },
      {
        tool: "gear-pair",
        name: "How does this pair stand?",
        question: "Circles, contact ratio, clearance and backlash of two gears at their centre distance",
      },
      {
        tool: "gear-span",
        name: "What must it measure?",
        question:
          "The span over teeth and the measure over pins of a gear, to tell it from its neighbours or to see how worn it is",
      },
      {
        tool: "swap-pairs",
        name: "Which gears can stand here instead?",
        question: "Every other pair on the same shafts: speed, torque and the move, and why the others do not go",
      },
      {
        tool: "worm-pair",
        name: "What does this worm lose?",
        question: "Lead, centre distance and lost motion of a worm and wheel, mesh and end float apart",
      },
      {
        tool: "bevel-pair",
        name: "What does a shim do to these bevels?",
        question: "Pitch cones of a bevel pair, and the backlash that shims behind either member give",
      },
      {
        tool: "planetary",
        name: "Does this planetary set go together?",
        question: "Ratio, assembly, room between the planets, common axis and clocking of a simple or a stepped set",
      },
    ],
  },
  {
    name: "Set by hand",
    tools: [
      {
        tool: "feel-round",
        name: "How does it feel round the turn?",
        question:
          "Words round a turn, from loose to tight: whether it is right, where the tight spot is, which way to go and where to feel next",
      },
      {
        tool: "paper-strip",
        name: "What does this paper stand for?",
        question: "The backlash of a strip rolled through or slid in, judged, and the sheet for the backlash wanted",
      },
      {
        tool: "contact-print",
        name: "What does this print say?",
        question: "Marking paint on a tooth: too deep, too high, at one end, crossed, and what to move",
      },
      {
        tool: "go-no-go",
        name: "How wide is this gap?",
        question: "A gap by the pin, drill or feeler that goes and the one that does not, and which to try next",
      },
    ],
  },
  {
    name: "The next move",
    tools: [
      {
        tool: "advise",
        name: "How far, which way?",
        question: "From readings, limits and an adjuster to the next move, and what it will read then",
      },
      {
        tool: "response",
        name: "What does one unit really do?",
        question: "An adjuster's response, learnt from what its moves did",
      },
      {
        tool: "round-plan",
        name: "Where round the turn is it read?",
        question: "Tooth positions that tell the gear's runout from the pinion's",
      },
    ],
  },
  {
    name: "Shifting and stops",
    tools: [
      {
        tool: "shift-travel",
        name: "Do these gears meet over their full face?",
        question: "A sliding gear between two mates: face at both stops, spacers, and the neutral between",
      },
      {
        tool: "stop-spacer",
        name: "Which spacer under the stop?",
        question: "Backlash held against each hard stop, and the spacer that brings it inside",
      },
      {
        tool: "force-sweep",
        name: "Does the stop hold?",
        question: "The actuator's force raised in steps, the current beside it: flat, or rising",
      },
    ],
  },
  {
    name: "Made parts",
    tools: [
      {
        tool: "made-bore",
        name: "What size do I draw this hole?",
        question: "From a measured shaft and from how much smaller holes come out",
      },
      {
        tool: "fit-series",
        name: "Which size fits?",
        question: "Test pieces tried and felt: which one to take, or which to make next",
      },
    ],
  },
  {
    name: "Belts and chains",
    tools: [
      {
        tool: "belt-drive",
        name: "Which belt fits?",
        question:
          "Length, centre distance, wrap and teeth in mesh of a belt over two pulleys, and the whole belts around",
      },
      {
        tool: "belt-path",
        name: "How long a belt goes round all these?",
        question: "Length, spans and wraps of a belt round many pulleys, inside and outside",
      },
      {
        tool: "belt-tension",
        name: "How tight is this belt?",
        question: "Tension from a span's frequency or its deflection, and what a millimetre of centre distance does",
      },
      {
        tool: "idler-set",
        name: "How far is this eccentric turned?",
        question: "The turn of an eccentric idler that gives a belt its length, and what a degree does there",
      },
      {
        tool: "chain-drive",
        name: "How many links?",
        question: "Links, the even number above, centre distance and unevenness of a roller chain",
      },
      {
        tool: "chain-condition",
        name: "How does this chain stand?",
        question: "Wear over counted pitches, sag, and the move of the centres that brings it where it is wanted",
      },
      {
        tool: "pluck",
        name: "What does this span sound at?",
        question: "The pitch of a plucked belt by the microphone, from a sound file, or simulated, and how sure it is",
      },
      {
        tool: "tension-first",
        name: "How far is a new belt moved first?",
        question:
          "First moves of a belt whose stiffness is a guess: safe against passing the limit, learnt from each reading",
      },
      {
        tool: "strands",
        name: "Do these share the load?",
        question: "Belts, cords or chains side by side: what each carries, and what each must change",
      },
      {
        tool: "belt-width",
        name: "How wide must this belt be?",
        question: "Width of a toothed belt at its place in the train, and what of the stock is wide enough",
      },
      {
        tool: "roller-grid",
        name: "Which roller in which hole?",
        question: "Barrels and holes on a row: which gives a belt its tension, and whether it goes on",
      },
      {
        tool: "hand-slack",
        name: "How slack is it by hand?",
        question: "A strand moved up and down by hand, level or steep: whether that is right, and what takes it up",
      },
      {
        tool: "open-run",
        name: "How far does it turn before a joint meets the wheel?",
        question: "A chain or cord with ends: its range, where to shift it, a block and tackle on it",
      },
    ],
  },
  {
    name: "Moving axes",
    tools: [
      {
        tool: "axis-travel",
        name: "Does it stop before its buffers?",
        question: "End switches, buffers and the travel of a position sensor of an axis that slides or swings",
      },
      {
        tool: "counterbalance",
        name: "Do the springs carry the load?",
        question:
          "Springs or cords under a load along its travel: what is left for the drive up and down, and how many strands are best",
      },
      {
        tool: "index-error",
        name: "How far off is a division?",
        question: "Every division of an index drive: runout, whole steps and lost motion together",
      },
    ],
  },
  {
    name: "Shafts end to end",
    tools: [
      {
        tool: "shaft-align",
        name: "Are the shafts in line?",
        question: "Offset and angle by rim and face or two rims, and the shims under the feet",
      },
      {
        tool: "coupling",
        name: "Does this coupling fit?",
        question: "Bores and keys, errors against what it allows, growth with heat, torque",
      },
    ],
  },
  {
    name: "Frames and wheels",
    tools: [
      {
        tool: "part-runout",
        name: "How far does this part run out?",
        question:
          "Runout of a part on its shaft by rim and face, what of it is the part's own, and which way to turn it on the shaft",
      },
      {
        tool: "housing-line",
        name: "Do these housings lie in line?",
        question: "Bearing housings by a straight bar or a wire: what to shim under which, and which one binds",
      },
      {
        tool: "flatness",
        name: "Is this frame flat?",
        question: "Heights of its points: what to shim under each, how parallel two rails are",
      },
      {
        tool: "wheel-align",
        name: "Are the wheels in line?",
        question: "Angle, offset and twist of two wheels by a straight edge, and what the feet need",
      },
      {
        tool: "frame-pull",
        name: "Does tension pull it out of true?",
        question: "Slack against tensioned: stand it off beforehand, or brace it",
      },
    ],
  },
  {
    name: "Apart and together",
    tools: [
      {
        tool: "strip-order",
        name: "In which order does it go together?",
        question: "What goes on before what, which parts wait for one another, what comes off to reach one",
      },
      {
        tool: "grease-due",
        name: "What is to be greased?",
        question: "Intervals by dirt, wet, heat and position, which points are due, and how much each takes",
      },
    ],
  },
  {
    name: "Trains and steps",
    tools: [
      {
        tool: "train",
        name: "What comes out of this train?",
        question: "Ratio, speed, torque and lost motion of stages in a row, and each stage's share of it",
      },
      {
        tool: "ratio-for-speed",
        name: "Which teeth give this speed?",
        question: "Tooth counts in one stage or two that come nearest to a wanted output speed",
      },
      {
        tool: "hole-grid",
        name: "Which gears mesh on this row of holes?",
        question: "Gears of a module on a square grid of holes: which pairs mesh where, which through an idler",
      },
      {
        tool: "index-plan",
        name: "How is the turn divided?",
        question: "Whole motor steps for so many divisions of a turn, and the error that each carries",
      },
      {
        tool: "steps-per-unit",
        name: "How many steps a millimetre?",
        question:
          "Steps a millimetre of a motor's axis, corrected by a measured test run, as a file for the controller",
      },
    ],
  },
  {
    name: "Shims and spacers",
    tools: [
      {
        tool: "shim-stack",
        name: "Which shims fill this gap?",
        question: "The stack from a drawer that leaves the clearance wanted, and the nearest where none does",
      },
      {
        tool: "shaft-stack",
        name: "Which spacers go where on this shaft?",
        question: "Parts between two faces: every working plane where it must stand, the end float that is left",
      },
    ],
  },
  {
    name: "Proving",
    tools: [
      {
        tool: "closure",
        name: "Does it come back to zero?",
        question: "An index drive driven round both ways: by what it misses, lost motion, whole steps lost",
      },
      {
        tool: "heard-period",
        name: "What knocks so often?",
        question: "A noise timed or tapped along with, against everything that comes round, and what tells two apart",
      },
      {
        tool: "warm-up",
        name: "How hot does it get?",
        question: "Temperatures while it warms up: where that ends, and when it passes what it may get",
      },
      {
        tool: "thermal-mesh",
        name: "What does warmth do to the mesh?",
        question: "Backlash of a pair at its working temperature, housing and gears of different materials",
      },
      {
        tool: "trend",
        name: "When does it come to its limit?",
        question: "Readings over time or hours, set anew now and then: the line, and when it crosses",
      },
    ],
  },
  {
    name: "Judging and fastening",
    tools: [
      {
        tool: "verdict",
        name: "Is it inside?",
        question: "A value against its limits, with the uncertainty of the reading taken into account",
      },
      {
        tool: "fit",
        name: "Does it go in?",
        question: "Clearance of a hole and a shaft, by ISO 286 class or as measured",
      },
      {
        tool: "fasten-order",
        name: "In which order are they tightened?",
        question: "Bolts on a circle or point by point: the order, and the torque of each pass",
      },
    ],
  },
];

export const benchTools: readonly BenchEntry[] = benchGroups.flatMap(({ tools }) => tools);
