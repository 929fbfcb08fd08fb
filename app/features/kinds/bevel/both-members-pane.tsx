import { totalOf } from "~/core/advice";
import { bothMembers } from "~/core/bevels";
import { parseQuantity, type Result } from "~/core/quantity";
import { micrometres, type StackAnswer } from "~/core/stacks";
import { Button } from "~/ui/button";
import { Choice } from "~/ui/choice";
import { Field } from "~/ui/field";
import { useWorker } from "../../calculation/use-worker";
import { piecesText, readPieces } from "../../stacks/stack-words";
import { lengthWords } from "../../words/spoken";
import { useWords } from "../../words/use-words";
import type { ByPrintProps } from "../kind-panes";

const start = () => new Worker(new URL("../../../../workers/stack.ts", import.meta.url), { type: "module" });
const members = ["pinion", "gear"] as const;
type Member = (typeof members)[number];
/** A first step where a print says only which way (common practice: a tenth, then print again). */
const firstStepMm = 0.1;
const senses: Record<string, 1 | -1> = { out: 1, in: -1 };
/** A pack may be off by so much of what was worked out. */
const packMm = 0.03;

/** Pinion and gear moved together: the print sends the one, the backlash the other, and the pack behind each is taken from the drawers. */
export function BothMembersPane(props: ByPrintProps<"bevel">) {
  const { stage, element, moves, texts, onText, onMoved } = props;
  const reader = useWords();
  const mm = (name: string) => {
    const read = parseQuantity(texts[name] ?? "", "length", "mm");
    return read.ok ? read.value.value : null;
  };
  const step = mm("bevel.step") ?? firstStepMm;
  const asked = (member: Member) =>
    moves.includes(`${member}-out`) ? step : moves.includes(`${member}-in`) ? -step : null;
  const typed = mm("bevel.backlash");
  const backlashMm = typed ?? props.backlashMm;
  const { limits } = stage;
  const aimMm = limits && (limits.aim ?? (limits.lo + limits.hi) / 2);
  const moved =
    backlashMm === null || aimMm === null
      ? null
      : bothMembers(element.bevel, { backlashMm, aimMm }, { pinionMm: asked("pinion"), gearMm: asked("gear") });
  const way = (value: number) =>
    Math.abs(value) < 0.005 ? "stays" : `${lengthWords(reader, Math.abs(value), 2)} ${value > 0 ? "out" : "in"}`;
  const { adjuster } = stage.adjuster;
  const perMm = adjuster?.type === "shims" ? adjuster.perMm : 1;
  /** Which way more shims send a member; null: nobody has said. */
  const sense = (member: Member): number | null =>
    member === element.shimmed ? Math.sign(perMm) : (senses[texts[`bevel.${member}.sense`] ?? ""] ?? null);
  const log = () => {
    if (!moved) return;
    const own = element.shimmed === "pinion" ? moved.pinionMm : moved.gearMm;
    const note = `By print: pinion ${way(moved.pinionMm)}, gear ${way(moved.gearMm)}, backlash reckoned ${lengthWords(reader, moved.backlashMm, 2)}`;
    onMoved(Math.round((own / perMm) * 100) / 100, note);
  };
  return (
    <section aria-label="Both members together" className="border-t border-rule pt-3 grid gap-3">
      <h3 className="font-bold">Both members together</h3>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Step by the print"
          hint="mm; empty: 0.1, then print again"
          value={texts["bevel.step"] ?? ""}
          autoComplete="off"
          onChange={(event) => onText("bevel.step", event.target.value)}
        />
        <Field
          label="Backlash there now"
          hint={
            props.backlashMm === null
              ? "mm; measured, or by pins"
              : `empty: ${lengthWords(reader, props.backlashMm, 3)}, as read`
          }
          value={texts["bevel.backlash"] ?? ""}
          autoComplete="off"
          onChange={(event) => onText("bevel.backlash", event.target.value)}
        />
      </div>
      {!limits && <p>Its limits are not known: where the backlash belongs nobody has said.</p>}
      {limits && backlashMm === null && (
        <p>
          Either member changes contact and backlash both: say the backlash, and how far each has to go is said here.
        </p>
      )}
      {moved && (
        <>
          <p className="text-xl font-semibold" role="status">
            Pinion {way(moved.pinionMm)}, gear {way(moved.gearMm)}: the backlash is then{" "}
            <span className="figure">{lengthWords(reader, moved.backlashMm, 2)}</span>.
          </p>
          {members.map((member) => (
            <Pack
              key={member}
              {...props}
              member={member}
              wayMm={member === "pinion" ? moved.pinionMm : moved.gearMm}
              sense={sense(member)}
            />
          ))}
          <p className="text-mid">In is towards the apex, out is away from it. Read the backlash, then print again.</p>
          <div>
            <Button kind="now" large onClick={log}>
              Both are moved: log it
            </Button>
          </div>
        </>
      )}
    </section>
  );
}

/** The pack behind one of them: what lies there, and what is to lie there then. */
function Pack({
  stage,
  element,
  member,
  wayMm,
  sense,
  stock,
  texts,
  onText,
}: ByPrintProps<"bevel"> & { member: Member; wayMm: number; sense: number | null }) {
  const reader = useWords();
  const field = `bevel.${member}.pack`;
  const pieces = texts[field] ? readPieces(reader, texts[field]) : null;
  const total = pieces && sense !== null ? totalOf(pieces) + wayMm * sense : null;
  const present = pieces ?? [];
  const sizes = stock
    .filter(({ kind, count }) => kind === "shim" && count > 0)
    .map((item) => ({ thicknessMm: item.measuredMm ?? item.nominalMm ?? 0, count: item.count }));
  const found = useWorker<Result<StackAnswer>>(
    start,
    total === null || total <= 0
      ? null
      : {
          gapMm: total,
          target: { loMm: -packMm, aimMm: 0, hiMm: packMm },
          stock: [...sizes, ...present.map((piece) => ({ ...piece, wereIn: piece.count }))],
          maxPieces: 4,
          alternatives: 0,
        },
  );
  const best = found.answer?.ok ? (found.answer.value.best ?? found.answer.value.nearestBelow ?? null) : null;
  const own = element.shimmed === member;
  return (
    <div className="grid gap-2">
      <Field
        label={`Shims behind the ${member} now`}
        hint={own ? `0.5 + 2 × 0.1; ${stage.adjuster.name}` : "0.5 + 2 × 0.1"}
        value={texts[field] ?? ""}
        autoComplete="off"
        onChange={(event) => onText(field, event.target.value)}
      />
      {!own && (
        <Choice
          legend={`More shims send the ${member}`}
          name={`${member}-sense`}
          value={texts[`bevel.${member}.sense`] ?? ""}
          onChange={(value) => onText(`bevel.${member}.sense`, value)}
          options={[
            { value: "out", label: "out of the mesh" },
            { value: "in", label: "into the mesh" },
          ]}
        />
      )}
      {pieces && sense === null && <p>Say which way more shims send it, and its new pack is named here.</p>}
      {total !== null && (
        <p>
          {total <= 0 ? (
            <b>More has to come out than lies there: no pack behind the {member} does it.</b>
          ) : (
            <>
              Then <b className="figure">{lengthWords(reader, total, 2)}</b> in all
              {best && (
                <>
                  : <span className="figure">{piecesText(reader, best.shims)}</span>
                  {micrometres(best.totalMm) !== micrometres(total) && ` = ${lengthWords(reader, best.totalMm, 2)}`}
                </>
              )}
              .
            </>
          )}
        </p>
      )}
    </div>
  );
}
