import { chainDrive, leastCentre } from "../../../chains";
import { accept, type RefusalOf, type Result, refuse } from "../../../quantity";
import { runDiameters, stagePath } from "../../runs/path";
import { leastWrapDeg, smallWrapDeg } from "../../runs/span";
import type { Unwise } from "../../unwise";
import type { ChainElement } from "./schema";

/** Below so many teeth a sprocket wears its chain (common practice). */
const fewTeeth = 17;
/** Centres wider than so many pitches let a chain whip (common practice). */
const mostPitches = 80;

export function checkChain(element: ChainElement): Result<Unwise[]> {
  const { pitchMm, teeth, links } = element;
  const least = leastCentre({ pitchMm, teeth });
  if (element.centreDistanceMm < least) return refuse("circles-overlap", ["centreDistanceMm"], { leastMm: least });
  const path = stagePath(element);
  if (!path.ok) return path;
  const { laid, driven } = path.value;
  const need = laid.lengthMm / pitchMm;
  if (links < need * 0.995) return refuse("chain-too-short", ["links"], shortestChain(element, need));
  const unwise: Unwise[] = [];
  if (links % 2 === 1) unwise.push({ code: "odd-links", even: links + 1 });
  const wrapDeg = smallWrapDeg(laid.wraps, runDiameters(element), driven);
  if (wrapDeg < leastWrapDeg) unwise.push({ code: "little-wrap", wrapDeg, leastDeg: leastWrapDeg });
  if (Math.min(...teeth) < fewTeeth) unwise.push({ code: "few-sprocket-teeth", teeth: Math.min(...teeth) });
  const pitches = element.centreDistanceMm / pitchMm;
  if (pitches > mostPitches) unwise.push({ code: "centres-out-of-range", pitches });
  return accept(unwise);
}

/** The shortest even chain that reaches, and, over two sprockets, the centre distance at which the one given would. */
function shortestChain(
  { pitchMm, teeth, links, idlers }: ChainElement,
  need: number,
): RefusalOf<"chain-too-short">["facts"] {
  const least = 2 * Math.ceil(need / 2 - 1e-9);
  const drive = chainDrive({ pitchMm, teeth }, { links });
  const centreMm = drive.ok && idlers.length === 0 ? drive.value.centreDistanceMm : null;
  return centreMm ? { least, centreMm } : { least };
}
