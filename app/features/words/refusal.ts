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
