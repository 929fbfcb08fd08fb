import { formatNumber } from "~/app/features/words/figure";
import type { Refusal } from "~/core/quantity";

const number = (value: number | string | undefined): string =>
  typeof value === "number" ? formatNumber(value, Number.isInteger(value) ? 0 : 3) : (value ?? "");

/** What a refusal means to the person at the machine. */
export function refusalWords({ code, facts, path }: Refusal): string {
  switch (code) {
    case "empty":
      return "Nothing is typed here yet.";
    case "not-a-number":
      return `“${facts.text}” is not a number.`;
    case "not-whole":
      return `“${facts.text}” is not a whole number.`;
    case "two-decimal-signs":
      return `“${facts.text}” has two decimal signs. Type one point or comma.`;
    case "unknown-unit":
      return `The unit “${facts.text}” is not known. Try mm, µm, in or thou.`;
    case "wrong-dimension":
      return `“${facts.text}” is ${facts.is === "angle" ? "an" : "a"} ${facts.is}; here a ${facts.wanted} is wanted.`;
    case "zero-denominator":
      return "A fraction cannot have 0 below the line.";
    case "not-a-size":
      return "A line here cannot be read. Write a size and how many: 0.05 × 4.";
    case "not-a-part":
      return "A line here cannot be read. Write a name and a width: bearing 4.";
    case "part-twice":
      return "Every part needs a name of its own.";
    case "too-large":
      return "That is larger than anything here can be.";
    case "no-such-tooth":
      return `There is no place ${number(facts.tooth)}; there are ${number(facts.teeth)}.`;
    case "no-such-clamp":
      return `There is no clamp ${number(facts.clamp)}.`;
    case "no-amount":
      return "A move of nothing is no move.";
    case "all-struck":
      return "Every reading is struck out. Read at least one again.";
    case "nothing-noted":
      return "Note at least one of current, temperature and noise.";
    case "just-done":
      return "That was logged a moment ago.";
    case "not-safe":
      return "Say that it is safe first.";
    case "nothing-read":
      return "Nothing was read in this job yet.";
    case "text-too-long":
      return `That is ${number(facts.given)} characters; ${number(facts.most)} fit. Shorten it; it is all still here.`;
    case "too-many":
      return `${number(facts.given)} are too many at once; ${number(facts.most)} fit. They are all still here.`;
    case "too-much":
      return "That is more than can be sent at once. It is all still here.";
    case "job-signed":
      return "This job is signed. Nothing can be added; a correction is made in the machine's logbook.";
    case "job-changed":
      return `${facts.count === 1 ? "One entry" : `${number(facts.count)} entries`} came in while you were reading. They are shown now; look, then sign.`;
    case "not-acknowledged":
      return path[0] === "provisional"
        ? "Something is left provisional that you have not acknowledged."
        : "Every point has to be acknowledged before power comes on.";
    case "wrong-sign-in":
      return "That name and password do not go together.";
    case "signed-out":
      return "You are signed out. Sign in again; nothing typed is lost.";
    case "role":
      return "Your account may look, but not do this.";
    case "database-away":
      return "The logbook cannot be reached just now. What you typed is kept here and goes in when it is back.";
    case "went-wrong":
      return "That failed on the server, and nothing of it was kept. Tell whoever looks after it.";
    case "offline":
      return "The server cannot be reached just now. Signing needs it; everything else is kept here.";
    case "missing":
      return "This has to be filled in.";
    case "not-text":
      return "There are characters in this that cannot be kept.";
    case "cannot-be-voided":
      return "This happened, whatever is said of it later. Correct it in words.";
    case "tag-taken":
      return `The tag stands on ${facts.name} already. Every machine has its own.`;
    case "name-taken":
      return `A machine in service has this name already, with the tag ${facts.tag}.`;
    case "stage-name-taken":
      return "Another stage of this machine has this name.";
    case "nothing-changed":
      return "Nothing is different from what is kept.";
    case "machine-retired":
      return "This machine is out of service. Take it into service again on its page before working on it.";
    case "job-open":
      return `A job of ${facts.by} is still open on it. Sign that first.`;
    case "revised-meanwhile":
      return "Somebody else revised this while you were typing. Look at theirs, then send yours again; it is all still here.";
    case "adjuster-revised":
      return `The adjuster was changed to ${facts.name} while this job was open. Look at the move again; the amount may mean something else now.`;
    case "meter-backwards":
      return `The meter showed ${number(facts.last)} ${facts.unit} last time, and ${number(facts.reading)} is less. Is it a new meter, or a slip?`;
    case "below-new-meter":
      return "The meter cannot show less than it began with.";
    case "point-closed":
      return "Somebody closed this already.";
    case "already-out":
      return "That was taken out already.";
    case "no-such-round":
      return "Something was moved since; that round cannot be gone on with. Read a new one.";
    case "file-too-large":
      return `The file has ${number(facts.megabytes)} MB; ${number(facts.most)} MB fit. Send it smaller.`;
    case "offline-file":
      return "The server cannot be reached just now. The file is still chosen; send it again in a moment.";
    case "kind-not-kept":
      return "Photographs (JPEG, PNG, WebP), PDF, CSV and plain text can be kept; this is something else.";
    case "not-what-it-says":
      return `The name says ${facts.says}, but what is in it is ${facts.is === "unknown" ? "something else" : facts.is}. It was not kept.`;
    case "picture-damaged":
      return "The picture cannot be opened; it may be damaged. Take it again.";
    case "empty-file":
      return "There is nothing in this file.";
    case "window-upside-down":
      return "The lower one is above the upper one.";
    case "aim-outside":
      return "The aim lies outside of the limits.";
    case "below-nothing":
      return "That is below nothing. Zero the instrument and read it again.";
    case "too-small":
      return "That is smaller than anything here can be.";
    case "too-few":
      return "At least one is needed.";
    case "not-understood":
      return "This cannot be understood.";
    case "teeth-too-few":
      return "A gear has three teeth at least.";
    case "angle-out-of-range":
      return "Pressure angles lie between 5 and 45 degrees; 20 is usual, 14.5 and 25 are seen.";
    case "not-a-point":
      return `“${facts.text}” is no point; type x and y in millimetres, one screw a line.`;
    case "cannot-move":
      return "At this angle the adjuster cannot move the centres at all.";
    case "nominal-out-of-range":
      return "ISO 286 classes go up to 500 mm here.";
    case "one-limit":
      return "Give at least one of the limits.";
    case "no-such-tool":
      return "There is no such computation.";
    case "id-taken":
      return "This was sent before as something else. Nothing was changed.";
    case "centre-distance-too-small":
      return `At this centre distance the teeth cannot mesh at all; the least is ${number(facts.leastMm)} mm.`;
    case "ring-not-larger":
      return `A ring needs more teeth than the ${number(facts.pinion)} of its pinion.`;
    case "no-zero-backlash-distance":
      return "With these profile shifts the teeth have no distance at which they mesh.";
    case "root-not-below-tip":
      return "The root lies above the tip; look at the shift, thinning and tip diameter.";
    case "spans-over-equal-teeth":
      return "The two spans are over the same number of teeth; measure over two that differ.";
    case "too-few-readings":
      return "More readings are needed for this.";
    case "too-many-positions":
      return "There are not so many teeth.";
    case "arc-empty":
      return "No tooth lies on this arc.";
    case "pin-drops-through":
      return "The pin is too small; it drops through the gap.";
    case "circles-overlap":
      return `The wheels would overlap: the centres have to be ${number(facts.leastMm)} mm apart at least.`;
    case "pulleys-overlap":
      return "This idler overlaps another wheel.";
    case "no-path":
      return facts.idler
        ? `The belt has no path: it does not touch idler ${facts.idler}, or runs through it. Move it into the belt, or say that it lies on the other side.`
        : "The belt has no path round these wheels: look at their places and sides.";
    case "belt-too-short":
      return `The belt is too short for this path; the shortest that goes has ${number(facts.least)}${path.includes("beltTeeth") ? " teeth" : " mm"}${facts.centreMm ? `, or bring the centres to ${number(facts.centreMm)} mm` : ""}.`;
    case "chain-too-short":
      return `The chain is too short; ${number(facts.least)} links go${facts.centreMm ? `, or bring the centres to ${number(facts.centreMm)} mm` : ""}.`;
    case "planets-do-not-assemble":
      return `These planets cannot be put together: the teeth do not meet at every place. The nearest that go: ${facts.nearest || "another number of planets"}.`;
    case "planets-touch":
      return `Neighbouring planets would touch. The nearest that go: ${facts.nearest || "fewer planets"}.`;
    case "two-roles":
      return "One member cannot be two of fixed, driven in and taken out.";
    case "one-gear-only":
      return "A switchable gear has two gears or more: name the others, one a line.";
    case "gear-has-no-mesh":
      return `The gear ${facts.name} does not mesh at this centre distance; teeth that add up to ${number(facts.sum)} do, one more or less with a shift.`;
    case "not-a-gear":
      return `“${facts.text}” is no gear; type its name and its two tooth counts, like: high 30 30.`;
    case "not-an-idler":
      return `“${facts.text}” is no idler; type x, y and diameter, then inside or outside, lower or upper.`;
    case "no-such-idler":
      return "There is no such idler.";
    case "angle-out-of-turn":
      return "Shafts lie between 0 and 180 degrees to each other.";
    case "nothing-to-adjust":
      return "There is nothing to adjust on this stage.";
    case "not-of-this-kind":
      return "That is not read on a stage of this kind.";
    case "another-kind":
      return "A stage stays of its kind. Take it out and enter the new one.";
    case "no-such-gear":
      return `There is no gear called ${facts.gear}.`;
    case "no-sag":
      return "A chain that hangs straight shows no sag to work from; let it out first.";
    case "not-a-stage":
      return `“${facts.text}” is no stage; type its name, driver and driven, like: pair 20 60.`;
    case "not-a-pulley":
      return `“${facts.text}” is no pulley; type x, y and its diameter, then inside or outside.`;
    case "not-a-ratio":
      return "A ratio is a whole number, or two of them: 40, or 50/17.";
    case "not-an-axis":
      return "An axis is one letter.";
    case "one-of-two":
      return "Give the drum's diameter or the travel a turn, not both.";
    case "no-such-shaft":
      return "What drives this stage is no longer in the drive line.";
    case "train-loops":
      return `${facts.name || "A stage"} would drive itself round. Let the first stage be driven by a motor.`;
    case "driven-twice":
      return `${facts.name || "A stage"} drives a shaft that turns already, at another speed or the other way: it would need a ratio of ${number(facts.fits)}, and has ${number(facts.is)}.`;
    case "drives-nothing":
      return `${facts.name} drives nothing: it has no ratio.`;
    case "stage-twice":
      return `${facts.name} stands in the drive line twice.`;
    case "not-leaves":
      return "These are not all thicknesses. Write them in mm with spaces between.";
    case "formula-cell":
      return `“${facts.text}” would be worked out by a spreadsheet. Write what it stands for.`;
    case "not-one-of":
      return `“${facts.text}” is none of: ${facts.words}.`;
    case "negative-count":
      return `There cannot be ${facts.text} of something.`;
    case "not-a-day":
      return `“${facts.text}” is not a day. Write it as in 2026-11-25.`;
    case "no-such-column":
      return `There is no column “${facts.name}” in this sheet. It has: ${facts.words}.`;
    case "column-twice":
      return `The column “${facts.name}” stands there twice.`;
    case "column-missing":
      return `The column “${facts.name}” is missing.`;
    case "no-lines":
      return "There is no line under the head.";
    case "too-many-lines":
      return `${number(facts.given)} lines are too many at once; ${number(facts.most)} go.`;
    case "too-many-cells":
      return `This line has ${number(facts.given)} cells; the head has ${number(facts.most)}.`;
    case "line-twice":
      return `The same stands in line ${number(facts.line)} already.`;
    case "mixed-decimal-signs":
      return `Line ${number(facts.comma)} writes figures with a comma, line ${number(facts.point)} with a point. Use one of them in the whole sheet.`;
    case "no-machine-tagged":
      return `No machine has the tag “${facts.tag}”.`;
    case "no-stage-named":
      return `The machine has no stage “${facts.name}”.`;
    case "item-name-taken":
      return `${facts.name} lies in the stores already, under this kind.`;
    case "no-such-item":
      return "That is no longer in the stores.";
    case "none-left":
      return facts.count === 0
        ? `The last ${facts.name} is gone: somebody was quicker.`
        : `Of ${facts.name} there ${facts.count === 1 ? "is one" : `are ${number(facts.count)}`} left.`;
    case "not-pieces":
      return "This cannot be read. Write the pieces with + between: 0.5 + 2 × 0.1.";
    case "sides-do-not-add-up":
      return "Carried from side to side, the same pieces must lie there in all as before.";
    case "stack-is-not-the-move":
      return "The shims that were said do not make up this move. Look at what lies in it now.";
    case "not-signed-yet":
      return "The job is not signed yet.";
    case "countersigned-already":
      return "The job is countersigned already.";
    case "own-signature":
      return "You signed this job yourself. Another lead countersigns it.";
    case "no-pieces":
      return "Say how many.";
    case "sign-in-taken":
      return "Somebody else signs in by this name.";
    case "last-lead":
      return "This is the only lead. Make somebody else a lead first.";
    case "no-such-person":
      return "This account is no longer here.";
    case "wrong-password":
      return "That is not the present password.";
    case "wrong-pin":
      return "That is not their PIN.";
    case "not-a-pin":
      return "A PIN is four to eight digits.";
    case "too-many-tries":
      return `That was tried too often. Wait ${number(facts.minutes)} minutes, then try again.`;
    case "no-such-session":
      return "That session has ended already.";
    case "no-such-time-zone":
      return "That time zone is not known. Write it as in Europe/London.";
    case "already-set-up":
      return "Somebody was quicker: the workshop has its first lead. Sign in.";
    case "due-before-calibrated":
      return "It cannot be due before it was calibrated.";
    case "changed-meanwhile":
      return "Somebody changed it meanwhile. Look at it anew, then change it.";
    case "not-a-pdf":
      return "A certificate has to be a PDF. This file is something else, whatever its name says.";
    case "no-such-machine":
    case "no-such-stage":
    case "no-such-job":
    case "no-such-entry":
    case "no-such-instrument":
      return "That is no longer here. Go back to the floor and look again.";
    default:
      return "This was not taken. What you typed is still here.";
  }
}
