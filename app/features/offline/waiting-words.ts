import type { Stage } from "~/core/records";
import type { SideQuantity } from "~/core/stages";
import { sideWords } from "../words/quantity-names";
import type { Waiting } from "./waiting-store";

/** What is in something that waits, so that it can be recognised, written down or copied. */
export function contentWords(payload: Waiting["payload"], stages: readonly Pick<Stage, "id" | "name">[] = []): string {
  const { kind, text, amount, readings, reason, thing, clamp, state, lock, name, caption } = payload as Record<
    string,
    unknown
  >;
  const stage = stages.length > 1 ? stages.find((item) => item.id === payload.stageId)?.name : undefined;
  const words = (): string => {
    switch (kind) {
      case "job-opened":
        return `A job opened: ${reason}`;
      case "note":
        return `“${text}”`;
      case "move":
        return `Move of ${amount}`;
      case "round":
        return (readings as { tooth: number; typed: string }[])
          .map((reading) => `tooth ${reading.tooth}: ${reading.typed}`)
          .join(", ");
      case "feel":
        return byHandWords(payload as ByHand);
      case "side":
        return `${sideWords[payload.quantity as SideQuantity]}: ${(payload.typed as string[]).join(", ")}`;
      case "correction":
        return `A correction: “${text}”`;
      case "clamp":
        return `Clamp ${clamp} ${state}`;
      case "shift":
        return shiftContent(payload as ShiftPayload);
      case "sweep":
        return (payload.points as { force: string; current: string }[])
          .map(({ force, current }) => `${force} ${payload.unit}: ${current} A`)
          .join(", ");
      case "loose-thing":
        return state === "in" ? `${thing} put in` : "Something taken out";
      case "greased":
        return `Greased: ${(payload.points as { name: string }[]).map((point) => point.name).join(", ")}`;
      case "looked":
        return `Looked at: ${(payload.items as { name: string; found: string }[]).map((item) => `${item.name}, ${item.found}`).join("; ")}`;
      case "symptom":
        return `What it does: ${(payload.kinds as string[]).join(", ")}`;
      case "suspect":
        return `A suspect: ${payload.state}`;
      case "part-off":
        return `Off: ${name}`;
      case "part-on":
        return `On: ${name}`;
      case "part-screws":
        return `Screws of a part ${state}`;
      case "turned":
        return `Turned by hand: ${(payload as { feel?: string }).feel}`;
      case "part-work":
        return `Work on ${name}: ${payload.work}`;
      case "shaft":
        return `A shaft ${payload.phase}: ${(payload.widths as { typed: string[] }[]).map(({ typed }) => typed.join(" ")).join(", ")}`;
      case "measured":
        return `Measured, ${payload.of}: ${payload.said}`;
      case "seat":
        return `${name} measured against its seat: ${(payload.seat as string[]).join(", ")} and ${(payload.part as string[]).join(", ")}`;
      case "isolated":
        return `Isolated, lock ${lock}`;
      case "live":
        return "Live";
      case "proof":
        return "A powered run";
      case "signature":
        return "A signature";
      case "attachment":
        return `A photograph or file, ${name}${caption ? `: ${caption}` : ""}`;
      case "usage":
        return `Meter ${(payload as { reading?: number }).reading}`;
      default:
        return String(kind);
    }
  };
  return stage ? `${stage}: ${words()}` : words();
}

type ShiftPayload = { stops?: { left: string; right: string }; engaged?: { gear: string; how: string }[] };

const shiftContent = ({ stops, engaged = [] }: ShiftPayload): string =>
  [
    stops?.left || stops?.right ? `Slide at ${stops.left} and ${stops.right} against its stops` : "",
    ...engaged.map(({ gear, how }) => `${gear} ${how}`),
  ]
    .filter(Boolean)
    .join(", ");

type ByHand = {
  places?: { tooth: number; feel: string }[];
  paper?: { prints: { tooth: number; print: string }[] };
  print?: { prints: { flank: string }[] };
  pins?: { goes: string; stops: string };
};

/** A round by hand: its words, its prints, or what went and what did not. */
function byHandWords({ places = [], paper, print, pins }: ByHand): string {
  if (paper) return paper.prints.map((place) => `tooth ${place.tooth}: ${place.print}`).join(", ");
  if (print) return `A contact print, ${print.prints.map(({ flank }) => flank).join(" and ")} flank`;
  if (pins) return `Pins: ${pins.goes || "none"} goes, ${pins.stops || "none"} does not`;
  return places.map((place) => `tooth ${place.tooth}: ${place.feel}`).join(", ");
}
