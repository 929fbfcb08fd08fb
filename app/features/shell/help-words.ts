/** What each screen is for, in two sentences; the first whose pattern fits the address. */
const screens: readonly (readonly [path: RegExp, title: string, text: string])[] = [
  [
    /^\/$/,
    "Floor",
    "Which machines need somebody today, and why: worst first, each with the stages that make it. The counts on top show one state alone; a scanned label leads straight to its machine.",
  ],
  [
    /^\/jobs$/,
    "Jobs",
    "Jobs that are open with where they stand and whose they are, what is planned, and what is done. Open points stand beside them until somebody says how they were closed.",
  ],
  [
    /^\/jobs\/[^/]+\/make-safe/,
    "Make safe",
    "Before hands go in: the lock, then every caution by a press of its own. What is not pressed stands in the logbook as not acknowledged.",
  ],
  [
    /^\/jobs\/[^/]+\/as-found/,
    "As found",
    "Read it before anything is touched: the picture shows the readings where they were taken, the right side says what they mean. A bare number is in the unit of the key above the field; Enter goes on to the next place.",
  ],
  [
    /^\/jobs\/[^/]+\/set/,
    "Set",
    "One move at a time: which way, how much, and what it should then read. Say whether it was done as said or otherwise, clamp, and read the same place again.",
  ],
  [
    /^\/jobs\/[^/]+\/lock-up/,
    "Lock up",
    "The clamps where they stand and the order to tighten them; each touch is logged. Tightening moves things, so a check round follows.",
  ],
  [
    /^\/jobs\/[^/]+\/prove/,
    "Prove",
    "Run it by hand, then under power, in every direction and speed that matters, and note what it does. Going live asks first whether everything is out and everybody is clear.",
  ],
  [
    /^\/jobs\/[^/]+\/sign-off/,
    "Sign off",
    "The job on one page: as found, what was done, as left, and what stays open. Signed, nothing of it changes; a correction is added beside it.",
  ],
  [
    /^\/at\//,
    "Quick touch",
    "For what takes twenty seconds: safe, read, moved or left alone, signed. It goes into the same logbook, trend and response as a whole job.",
  ],
  [
    /^\/machines\/new|\/edit$|\/copy$/,
    "The machine’s fields",
    "What the machine is called and where it stands; name and tag are enough. What changes goes into its logbook.",
  ],
  [
    /\/drive-line$/,
    "Drive line",
    "Say what drives what, and the stages are drawn to scale from motor to output. Speeds, directions and lost motion follow from it.",
  ],
  [
    /^\/machines\/[^/]+\/stages\/new|^\/stages\/[^/]+\/(geometry|adjuster|limits|stage)$/,
    "The stage’s fields",
    "Its kind, its teeth with their module or what else the kind asks for, and how it is adjusted are enough. All else is optional: what is left empty is not known, or becomes an open point.",
  ],
  [
    /\/swap$/,
    "Other gears",
    "Which other tooth counts fit in this place, what they do to ratio and mesh, and what is in stock. Nothing is changed until somebody fits them in a job.",
  ],
  [
    /^\/machines\/[^/]+$/,
    "Machine",
    "What this machine asks for now, its stages as they stand, and its logbook. Start a job, go on with one, or take a quick touch; everything else lies behind the key with the dots.",
  ],
  [
    /^\/plan/,
    "Plan",
    "When to come back: by date, by the meter, by what the trend says, for grease, calibration and open points. Each can be given to somebody; a walk takes them in a sensible order, and a calendar program can read them.",
  ],
  [
    /^\/records/,
    "Records",
    "Everything that was written, in all logbooks, by words, kind, part, person and days. What is found can be taken along as a table.",
  ],
  [
    /^\/rules/,
    "Rules of the house",
    "What the workshop has learnt of its own about what is behind a noise. The search for a cause ranks it beside the rules that come with it.",
  ],
  [
    /\/why$/,
    "Why does it do that?",
    "Say what it does, when, and how often: its suspects stand in order, each with what speaks for and against it and the next cheap test. What comes of each is logged.",
  ],
  [
    /^\/practice/,
    "Practice",
    "Machines with hidden faults, worked on with simulated instruments on the screens of the job. Begin a lesson, open a job on its machine, and when it is set right say so: then stands here what was hidden, and how it is done.",
  ],
  [
    /^\/stages\//,
    "Stage",
    "How this stage has moved over the years and when its trend leaves the limits. Below: two rounds laid over each other, limits with their sources, what its adjuster has been learnt to do.",
  ],
  [
    /^\/bench/,
    "Bench",
    "Every computation for its own sake, no machine needed: type what is known, the answer follows with its formula. What is found can be kept on a stage.",
  ],
  [
    /^\/stores/,
    "Stores",
    "Shims, spacers, gears, belts and chain with what is left of them, and the instruments with their calibration. The next move takes from here what it names.",
  ],
  [
    /^\/people/,
    "People",
    "Who works here, what they may do, and the house’s rules. What somebody wrote stays under their name.",
  ],
  [
    /^\/account/,
    "Account",
    "How figures, units and the room are shown to you, your password and PIN. Where you are signed in can be ended here.",
  ],
];

const elsewhere = [
  "This screen",
  "It shows what stands on it. The places in the head lead back to the floor.",
] as const;

export function helpFor(path: string): { title: string; text: string } {
  const [, title, text] = screens.find(([fits]) => fits.test(path)) ?? [null, ...elsewhere];
  return { title, text };
}

/** Keys, and what they do where. */
export const keys: readonly (readonly [key: string, does: string])[] = [
  ["?", "This page, from anywhere but a field"],
  ["Tab, Shift+Tab", "On and back; the thing to do now has the focus when a screen opens"],
  ["Enter", "In a reading: takes it and goes on. On an empty reading field: ends the round where all is read"],
  ["Backspace", "On an empty reading field: back to the place before"],
  ["Delete", "On an empty reading field: strikes out the last reading there"],
  ["Escape", "Shuts a question and leaves things as they were"],
  ["Arrow keys", "Choose among keys that belong together, such as units or directions"],
];
