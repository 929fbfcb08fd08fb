import { formatNumber, type Refusal } from "~/core/quantity";

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
    case "too-large":
      return "That is larger than anything here can be.";
    case "no-such-tooth":
      return `There is no tooth ${number(facts.tooth)}; the gear has ${number(facts.teeth)}.`;
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
