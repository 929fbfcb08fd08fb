import { formatNumber } from "~/app/features/words/figure";
import type { Reader } from "~/app/features/words/reader";
import type { Refusal, RefusalCode, RefusalOf } from "~/core/quantity";

type Fact = number | string | undefined;
/** A number as its reader has it. */
type Figure = (fact: Fact) => string;
type Say<C extends RefusalCode> = (refusal: RefusalOf<C>, number: Figure) => string;

/** How long to wait, as one says it. */
const waitWords = (seconds: number): string =>
  seconds < 90 ? `${seconds} ${seconds === 1 ? "second" : "seconds"}` : `${Math.ceil(seconds / 60)} minutes`;

/** What a refusal means to the person at the machine. */
export const refusalWords = (reader: Reader, refusal: Refusal): string =>
  say<RefusalCode>(refusal, (fact) =>
    typeof fact === "number" ? formatNumber(reader, fact, Number.isInteger(fact) ? 0 : 3) : (fact ?? ""),
  );

function say<C extends RefusalCode>(refusal: RefusalOf<C>, number: Figure): string {
  // A server of another release may have a code that is not known here.
  const said: string | Say<C> | undefined = words[refusal.code];
  if (said === undefined) return "This was not taken. What you typed is still here.";
  return typeof said === "string" ? said : said(refusal, number);
}

const words: { readonly [C in RefusalCode]: string | Say<C> } = {
  empty: "Needed.",
  "not-a-number": ({ facts }) => `“${facts.text}” is not a number.`,
  "not-whole": ({ facts }) => `“${facts.text}” is not a whole number.`,
  "two-decimal-signs": ({ facts }) => `“${facts.text}” has two decimal signs. Type one point or comma.`,
  "unknown-unit": ({ facts }) => `The unit “${facts.text}” is not known. Try mm, µm, in or thou.`,
  "wrong-dimension": ({ facts }) =>
    `“${facts.text}” is ${facts.is === "angle" ? "an" : "a"} ${facts.is}; here a ${facts.wanted} is wanted.`,
  "zero-denominator": "A fraction cannot have 0 below the line.",
  "part-twice": "Every part needs a name of its own.",
  "too-large": "That is larger than anything here can be.",
  "no-such-tooth": ({ facts }, number) => `There is no place ${number(facts.tooth)}; there are ${number(facts.teeth)}.`,
  "no-such-clamp": ({ facts }, number) => `There is no clamp ${number(facts.clamp)}.`,
  "goes-beyond-stop": ({ facts }, number) =>
    `A size that does not go has to be larger than the one that goes, ${number(facts.goesMm)} mm.`,
  "another-system":
    "This gear is of another pitch, pressure or helix angle: it would bind or strip. Take one of the same system.",
  "flank-twice": "Give each flank once.",
  "single-force": "Give currents at two forces at least.",
  "no-current": "The line through these currents is not over 0 at the least force. Look at them again.",
  "no-surface-speed": "A wheel is wanted only for a speed along the rim.",
  "no-amount": "A move of nothing is no move.",
  "all-struck": "Every reading is struck out. Read at least one again.",
  "nothing-noted": "Nothing is noted yet: say at least one thing of it, what it shows or how it feels or sounds.",
  "just-done": "That was logged a moment ago.",
  "not-safe": "Say that it is safe first.",
  "nothing-read": "Nothing was read in this job yet.",
  "text-too-long": ({ facts }, number) =>
    `That is ${number(facts.given)} characters; ${number(facts.most)} fit. Shorten it; it is all still here.`,
  "too-many": ({ facts }, number) =>
    `${number(facts.given)} are too many at once; ${number(facts.most)} fit. They are all still here.`,
  "too-much": "That is more than can be sent at once. It is all still here.",
  "job-signed": "This job is signed. Nothing can be added; a correction is made in the machine's logbook.",
  "job-changed": ({ facts }, number) =>
    `${facts.count === 1 ? "One entry" : `${number(facts.count)} entries`} came in while you were reading. They are shown now; look, then sign.`,
  "not-acknowledged": ({ path }) =>
    path[0] === "provisional"
      ? "Something is left provisional that you have not acknowledged."
      : "Every point has to be acknowledged before power comes on.",
  "wrong-sign-in": "That name and password do not go together.",
  "signed-out": "You are signed out. Sign in again; nothing typed is lost.",
  role: "Your account may look, but not do this.",
  "database-away": "The logbook cannot be reached just now. What you typed is kept here and goes in when it is back.",
  "went-wrong": "That failed on the server, and nothing of it was kept. Tell whoever looks after it.",
  offline: "The server cannot be reached just now. Signing needs it; everything else is kept here.",
  "page-not-whole":
    "Part of this page has not arrived, because the server cannot be reached just now. What you typed still stands; enter it again in a moment.",
  missing: "This has to be filled in.",
  "not-text": "There are characters in this that cannot be kept.",
  "cannot-be-voided": "This happened, whatever is said of it later. Correct it in words.",
  "tag-taken": ({ facts }) => `The tag stands on ${facts.name} already. Every machine has its own.`,
  "name-taken": ({ facts }) => `A machine in service has this name already, with the tag ${facts.tag}.`,
  "stage-name-taken": "Another stage of this machine has this name.",
  "nothing-changed": "Nothing is different from what is kept.",
  "machine-retired": "This machine is out of service. Take it into service again on its page before working on it.",
  "job-open": ({ facts }) => `A job of ${facts.by} is still open on it. Sign that first.`,
  "revised-meanwhile":
    "Somebody else revised this while you were typing. Look at theirs, then send yours again; it is all still here.",
  "adjuster-revised": ({ facts }) =>
    `The adjuster was changed to ${facts.name} while this job was open. Look at the move again; the amount may mean something else now.`,
  "meter-backwards": ({ facts }, number) =>
    `The meter showed ${number(facts.last)} ${facts.unit} last time, and ${number(facts.reading)} is less. Is it a new meter, or a slip?`,
  "meter-never-read":
    "The meter of this machine was never read: there is nothing to count from. Read it first, or give a day.",
  "no-such-rule": "This rule of the workshop is not there any more. Load the page again.",
  "said-twice": "What speaks for it cannot speak against it too.",
  "day-ahead": ({ facts }) => `${facts.date} is still to come.`,
  "paper-there": ({ facts }) => `A round of paper of ${facts.date} is there already.`,
  "does-no-jobs": ({ facts }) => `${facts.name} only looks: give it to somebody who does jobs.`,
  "below-new-meter": "The meter cannot show less than it began with.",
  "part-already-off": ({ facts }) =>
    `${facts.name} is off already${facts.by ? `, by ${facts.by}` : ""}. A second one of the kind needs a name of its own, as “${facts.name}, far end”.`,
  "part-already-on": ({ facts }) => `${facts.name} is on already.`,
  "no-such-part": "This part is not on.",
  "no-such-guide": "There is no such guide of this machine.",
  "shaft-name-taken": ({ facts }) => `This machine has a shaft called ${facts.name} already.`,
  "shaft-overlaps-faces": ({ facts }, number) =>
    `The parts as drawn are ${number(facts.widthsMm)} mm together, and the faces ${number(facts.lengthMm)} mm apart: they overlap.`,
  "no-shaft-here": "There is no such shaft of this machine.",
  "guide-name-taken": ({ facts }) => `This machine has a guide called ${facts.name} already.`,
  "ties-in-ring": ({ facts }) =>
    `These wait for one another in a ring: ${facts.names}. Each would have to be on before the next. Take one tie away, or call them one part.`,
  "to-be-kept-dry": ({ facts }) => `${facts.name} is not greased: the list says so.`,
  "point-closed": "Somebody closed this already.",
  "already-out": "That was taken out already.",
  "no-such-round": "Something was moved since; that round cannot be gone on with. Read a new one.",
  "file-too-large": ({ facts }, number) =>
    `The file has ${number(facts.megabytes)} MB; ${number(facts.most)} MB fit. Send it smaller.`,
  "offline-file": "The server cannot be reached just now. The file is still chosen; send it again in a moment.",
  "kind-not-kept": "Photographs (JPEG, PNG, WebP), PDF, CSV and plain text can be kept; this is something else.",
  "not-what-it-says": ({ facts }) =>
    `The name says ${facts.says}, but what is in it is ${facts.is === "unknown" ? "something else" : facts.is}. It was not kept.`,
  "picture-damaged": "The picture cannot be opened; it may be damaged. Take it again.",
  "empty-file": "There is nothing in this file.",
  "window-upside-down": "The lower one is above the upper one.",
  "aim-outside": "The aim lies outside of the limits.",
  "below-nothing": "That is below nothing. Zero the instrument and read it again.",
  "too-small": "That is smaller than anything here can be.",
  "too-few": "At least one is needed.",
  "not-understood": "This cannot be understood.",
  "teeth-too-few": "A gear has three teeth at least.",
  "angle-out-of-range": "Pressure angles lie between 5 and 45 degrees; 20 is usual, 14.5 and 25 are seen.",
  "cannot-move": "At this angle the adjuster cannot move the centres at all.",
  "nominal-out-of-range": "ISO 286 classes go up to 500 mm here.",
  "one-limit": "Give at least one of the limits.",
  "no-such-tool": "There is no such computation.",
  "id-taken": "This was sent before as something else. Nothing was changed.",
  "centre-distance-too-small": ({ facts }, number) =>
    `At this centre distance the teeth cannot mesh at all; the least is ${number(facts.leastMm)} mm.`,
  "ring-not-larger": ({ facts }, number) => `A ring needs more teeth than the ${number(facts.pinion)} of its pinion.`,
  "no-zero-backlash-distance": "With these profile shifts the teeth have no distance at which they mesh.",
  "root-not-below-tip": "The root lies above the tip; look at the shift, thinning and tip diameter.",
  "spans-over-equal-teeth": "The two spans are over the same number of teeth; measure over two that differ.",
  "too-few-taps": ({ facts }, number) => `Too few to tell: tap at least ${number(facts.least)} times, without a pause.`,
  "run-twice": "The same run is in the plan already.",
  "no-such-run": "That run is not in the plan.",
  "taps-astray": "These taps came too unevenly to tell a rate from. Tap again, or type it.",
  "too-few-readings": "More readings are needed for this.",
  "too-many-positions": "There are not so many teeth.",
  "arc-empty": "No tooth lies on this arc.",
  "all-slack": "All of these are slack: there is nothing that they share.",
  "stiffness-without-tension": "A length to take up needs tensions: give span and mass, or read the tension of each.",
  "nothing-to-add": "Nothing is given that could be off: give a wheel, the steps, the lost motion or something else.",
  "not-of-this-form": "This does not go with what was chosen above.",
  "not-a-recording": "This is not a recording that can be opened.",
  "sound-compressed": ({ facts }) => `This recording is packed as ${facts.form}. Save it as WAV.`,
  "sound-empty": "There is no sound in this file.",
  "not-read-here": "A file is read by the command only.",
  "pin-drops-through": "The pin is too small; it drops through the gap.",
  "circles-overlap": ({ facts }, number) =>
    `The wheels would overlap: the centres have to be ${number(facts.leastMm)} mm apart at least.`,
  "pulleys-overlap": "This idler overlaps another wheel.",
  "no-path": ({ facts }) => {
    const strand = facts.kind === "chain" ? "chain" : "belt";
    return facts.idler
      ? `The ${strand} has no path: it does not touch idler ${facts.idler}, or runs through it. Move it into the ${strand}, or say that it lies on the other side.`
      : `The ${strand} has no path round these wheels: look at their places and sides.`;
  },
  "off-the-strand": ({ facts }, number) =>
    `No free strand passes there: it leaves the wheels between x ${number(facts.fromMm)} and ${number(facts.toMm)} mm.`,
  "belt-too-short": ({ facts, path }, number) =>
    `The belt is too short for this path; the shortest that goes has ${number(facts.least)}${path.includes("beltTeeth") ? " teeth" : " mm"}${facts.centreMm ? `, or bring the centres to ${number(facts.centreMm)} mm` : ""}.`,
  "chain-too-short": ({ facts }, number) =>
    `The chain is too short; ${number(facts.least)} links go${facts.centreMm ? `, or bring the centres to ${number(facts.centreMm)} mm` : ""}.`,
  "planets-do-not-assemble": ({ facts }) =>
    `These planets cannot be put together: the teeth do not meet at every place. The nearest that go: ${facts.nearest || "another number of planets"}.`,
  "planets-touch": ({ facts }) =>
    `Neighbouring planets would touch. The nearest that go: ${facts.nearest || "fewer planets"}.`,
  "places-not-named": "Name every place, each by a name of its own, or none of them.",
  "two-numbers": "Two whole numbers are wanted, with a space between: 16 24.",
  "two-roles": "One member cannot be two of fixed, driven in and taken out.",
  "one-gear-only": "A switchable gear has two gears or more: name the others, one a line.",
  "gear-has-no-mesh": ({ facts }, number) =>
    `The gear ${facts.name} does not mesh at this centre distance; teeth that add up to ${number(facts.sum)} do, one more or less with a shift.`,
  "no-such-idler": "There is no such idler.",
  "angle-out-of-turn": "Shafts lie between 0 and 180 degrees to each other.",
  "nothing-to-adjust": "There is nothing to adjust on this stage.",
  "not-of-this-kind": "That is not read on a stage of this kind.",
  "another-kind": "A stage stays of its kind. Take it out and enter the new one.",
  "gear-exchanged": ({ facts }) =>
    `These were read with ${facts.was} teeth in mesh, and ${facts.now} are in now. They stay what the old one read: put them in a note, and read again.`,
  "no-such-gear": ({ facts }) => `There is no gear called ${facts.gear}.`,
  "no-sag": "A chain that hangs straight shows no sag to work from; let it out first.",
  "not-a-ratio": "A ratio is a whole number, or two of them: 40, or 50/17.",
  "not-an-axis": "An axis is one letter.",
  "one-of-two": "Give the drum's diameter or the travel a turn, not both.",
  "no-such-shaft": "What drives this stage is no longer in the drive line.",
  "train-loops": ({ facts }) =>
    `${facts.name || "A stage"} would drive itself round. Let the first stage be driven by a motor.`,
  "driven-twice": ({ facts }, number) =>
    `${facts.name || "A stage"} drives a shaft that turns already, at another speed or the other way: it would need a ratio of ${number(facts.fits)}, and has ${number(facts.is)}.`,
  "drives-nothing": ({ facts }) => `${facts.name} drives nothing: it has no ratio.`,
  "stage-twice": ({ facts }) => `${facts.name} stands in the drive line twice.`,
  "not-leaves": "These are not all thicknesses. Write them in mm with spaces between.",
  "formula-cell": ({ facts }) => `“${facts.text}” would be worked out by a spreadsheet. Write what it stands for.`,
  "not-one-of": ({ facts }) => `“${facts.text}” is none of: ${facts.words}.`,
  "negative-count": ({ facts }) => `There cannot be ${facts.text} of something.`,
  "not-a-day": ({ facts }) => `“${facts.text}” is not a day. Write it as in 2026-11-25.`,
  "no-such-column": ({ facts }) => `There is no column “${facts.name}” in this sheet. It has: ${facts.words}.`,
  "column-twice": ({ facts }) => `The column “${facts.name}” stands there twice.`,
  "column-missing": ({ facts }) => `The column “${facts.name}” is missing.`,
  "no-lines": "There is no line under the head.",
  "too-many-lines": ({ facts }, number) =>
    `${number(facts.given)} lines are too many at once; ${number(facts.most)} go.`,
  "too-many-cells": ({ facts }, number) =>
    `This line has ${number(facts.given)} cells; the head has ${number(facts.most)}.`,
  "line-twice": ({ facts }, number) => `The same stands in line ${number(facts.line)} already.`,
  "mixed-decimal-signs": ({ facts }, number) =>
    `Line ${number(facts.comma)} writes figures with a comma, line ${number(facts.point)} with a point. Use one of them in the whole sheet.`,
  "no-machine-tagged": ({ facts }) => `No machine has the tag “${facts.tag}”.`,
  "no-stage-named": ({ facts }) => `The machine has no stage “${facts.name}”.`,
  "item-name-taken": ({ facts }) => `${facts.name} lies in the stores already, under this kind.`,
  "no-such-item": "That is no longer in the stores.",
  "none-left": ({ facts }, number) =>
    facts.count === 0
      ? `The last ${facts.name} is gone: somebody was quicker.`
      : `Of ${facts.name} there ${facts.count === 1 ? "is one" : `are ${number(facts.count)}`} left.`,
  "not-pieces": "This cannot be read. Write the pieces with + between: 0.5 + 2 × 0.1.",
  "sides-do-not-add-up": "Carried from side to side, the same pieces must lie there in all as before.",
  "stack-is-not-the-move": "The shims that were said do not make up this move. Look at what lies in it now.",
  "not-signed-yet": "The job is not signed yet.",
  "countersigned-already": "The job is countersigned already.",
  "own-signature": "You signed this job yourself. Another lead countersigns it.",
  "no-pieces": "Say how many.",
  "sign-in-taken": "Somebody else signs in by this name.",
  "last-lead": "This is the only lead. Make somebody else a lead first.",
  "no-such-person": "This account is no longer here.",
  "wrong-password": "That is not the password.",
  "wrong-pin": "That is not their PIN.",
  "not-a-pin": "A PIN is four to eight digits.",
  "too-many-tries": ({ facts }) =>
    `That was tried too often. Wait ${waitWords(Number(facts.seconds))}, then try again.`,
  "no-such-session": "That session has ended already.",
  "no-such-time": "That is no time of these days. Look at the clock of this tablet.",
  "other-person":
    "Somebody else is signed in on this tablet now, so that nothing was logged under a wrong name. It stays here for who made it.",
  "needs-password": "A PIN is not enough for that. Give the password as well.",
  "signature-unproven": "Signing asks for the PIN or the password of who signs.",
  busy: "The server is busy with others just now. Nothing is lost; try again in a moment.",
  "pin-locked": "That PIN was wrong too often and is locked. The password opens it again.",
  "too-common": "That is among the first that anybody would try. Choose another.",
  "still-here": "Their account is open. Close it first.",
  struck: "That name was struck from the accounts.",
  "too-many-pixels": ({ facts }, number) =>
    `The picture has more than ${number(facts.most)} million pixels. Make it smaller first.`,
  "not-kept": "Not kept: this tablet has no room left. Stay here until it is sent.",
  "no-such-time-zone": "That time zone is not known. Write it as in Europe/London.",
  "already-set-up": "Somebody was quicker: the workshop has its first lead. Sign in.",
  "due-before-calibrated": "It cannot be due before it was calibrated.",
  "changed-meanwhile": "Somebody changed it meanwhile. Look at it anew, then change it.",
  "not-a-pdf": "A certificate has to be a PDF. This file is something else, whatever its name says.",
  "no-such-machine": "That is no longer here. Go back to the floor and look again.",
  "no-such-stage": "That is no longer here. Go back to the floor and look again.",
  "no-such-job": "That is no longer here. Go back to the floor and look again.",
  "no-such-entry": "That is no longer here. Go back to the floor and look again.",
  "no-such-lesson": "That is no longer here. Go back to the lessons and look again.",
  "not-practising": "You are not practising now. Go to the lessons and begin one.",
  "lesson-of-old":
    "The lessons have changed since this one was begun, so its machine is not the same any more. Begin another one.",
  "lesson-over": "This lesson is over. What came of it stands with the lessons.",
  "no-such-instrument": "That is no longer here. Go back to the floor and look again.",
  "beyond-most-press": "The roller stands further in than it can go.",
  "cannot-move-the-centres": "At this angle the adjuster moves square to the line of centres.",
  "centre-below-span": ({ facts }, number) =>
    `The centres cannot be nearer than the free span of ${number(facts.leastMm)} mm.`,
  "does-not-follow":
    "The tension went against the move: the clamp slipped, or the belt was slack. Turn it two turns by hand and read again.",
  "entries-missing": ({ facts }, number) =>
    `${facts.count === 1 ? "One entry that you saw is" : `${number(facts.count)} entries that you saw are`} not in the logbook. Look at what was not taken, then sign.`,
  "id-twice": "Two of these have the same name.",
  "internal-pair": "Pairs are searched for outside gears only; a ring stays with its pinion.",
  "is-zero": "This cannot be 0.",
  "lock-and-none": "Either a lock was put on or none; not both.",
  "movement-missing": "A strand that does not move tells no tension by its force.",
  "no-such-place": ({ facts }, number) => `There is no such place; there are ${number(facts.places)}.`,
  "no-such-pulley": ({ facts }, number) => `There is no such pulley; there are ${number(facts.pulleys)}.`,
  "no-two-times": "Two readings at different times are needed, with nothing moved between them.",
  "no-words": "Nothing was felt yet.",
  "no-words-for-this-kind": "Only a mesh clicks. On a stage of this kind read a number.",
  "not-isolated": "A turn by hand is logged while it is isolated. Make it safe first.",
  "not-live": "A powered run is logged while it is live. Go live first.",
  "not-listed": "That is none of those that can be chosen.",
  "nothing-to-choose-from": "There are no gears to choose from.",
  "one-of-doubled": "Only one of these can be given.",
  "one-of-missing": "One of these has to be given.",
  "outside-the-arc": "That place lies outside of the arc that this stage turns.",
  "positions-undetermined": "These places do not tell the mean and the runout apart; spread them round the turn.",
  "roller-too-near-the-end": "The roller lies too near the end of the strand for its size.",
  "stack-too-long": "A gap of this size has too many stacks to go through.",
  "stiffness-alone": ({ facts }, number) =>
    `The belt's stiffness alone makes it swing at ${number(facts.leastHz)} Hz; the frequency must be higher.`,
  "too-many-spacers": ({ facts }, number) =>
    `These spacers go in more than ${number(facts.most)} ways; leave some out.`,
  "unknown-key": "There is no such figure here.",
  "wrong-type": "This is not what is wanted here.",
  "cross-site": "That came from another site and was not taken.",
  refused: "This was not taken.",
  "inclined-too-far": "An indicator inclined by 60 degrees or more reads next to nothing. Set it square to the motion.",
  "sense-not-said": "Say what one more shim does: the sign is where most slips are made.",
};
