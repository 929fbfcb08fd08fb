import type { ReactNode } from "react";
import { Link } from "react-router";
import { buttonClass } from "~/ui/button";

/** What an empty floor asks for, in three drawn steps, and the way past the first one for who has a list already. */
export function FirstSteps({ mayAdd }: { mayAdd: boolean }) {
  return (
    <section aria-label="How to begin" className="p-5 max-sm:p-3.5">
      <ol className="grid md:grid-cols-3 gap-x-10 gap-y-6 max-w-5xl">
        <Step title="1. Add a machine" drawing={<Plate />}>
          Its name and tag are enough. Its label is printed from its page.
        </Step>
        <Step title="2. Enter a stage" drawing={<Pair />}>
          Its kind, its teeth with their module, and how it is adjusted. The rest may stay unknown.
        </Step>
        <Step title="3. Start a job" drawing={<Dial />}>
          Make safe, read it round the turn, and the next move is worked out.
        </Step>
      </ol>
      {mayAdd ? (
        <p className="flex flex-wrap gap-4 mt-6 items-center">
          <Link to="/machines/new" className={buttonClass("now", true)}>
            Add a machine
          </Link>
          <Link to="/stores/sheets" className={buttonClass("line", true)}>
            Bring in a list
          </Link>
        </p>
      ) : (
        <p className="mt-6 text-lg">A lead of the workshop enters machines.</p>
      )}
      <p className="mt-4 text-lg">
        New to it? <Link to="/practice">Practise</Link> on machines with hidden faults first: nothing of that is real.
      </p>
    </section>
  );
}

function Step({ title, drawing, children }: { title: string; drawing: ReactNode; children: ReactNode }) {
  return (
    <li className="grid gap-2 content-start">
      <svg viewBox="0 0 200 110" className="w-full max-w-64 bg-panel" aria-hidden="true">
        <g className="fill-none stroke-ink" strokeWidth="1.8">
          {drawing}
        </g>
      </svg>
      <h2 className="text-xl font-bold">{title}</h2>
      <p className="text-lg">{children}</p>
    </li>
  );
}

/** A machine's frame with its plate. */
const Plate = () => (
  <>
    <path d="M30 92V40H120L150 62H172V92M20 92H182M44 92V76H72V92M120 40V28H134V51" />
    <path d="M58 50H102V66H58Z" className="fill-ground stroke-copper" />
    <path d="M64 58H82M88 58H96" />
  </>
);

const teeth = (cx: number, cy: number, r: number, count: number) =>
  Array.from({ length: count }, (_, i) => {
    const at = (2 * Math.PI * i) / count;
    const [x, y] = [Math.sin(at), -Math.cos(at)];
    return `M${(cx + r * x).toFixed(1)} ${(cy + r * y).toFixed(1)}L${(cx + (r + 5) * x).toFixed(1)} ${(cy + (r + 5) * y).toFixed(1)}`;
  }).join("");

/** A pinion and its gear. */
const Pair = () => (
  <>
    <circle cx="62" cy="55" r="22" />
    <circle cx="124" cy="55" r="34" />
    <path d={teeth(62, 55, 22, 14)} strokeWidth="4" />
    <path d={teeth(124, 55, 34, 22)} strokeWidth="4" />
    <path d="M52 55H134" className="stroke-mid" strokeWidth="1" strokeDasharray="9 3 2 3" />
  </>
);

/** An indicator on a gear's tooth, and what it should read. */
const Dial = () => (
  <>
    <circle cx="70" cy="66" r="28" />
    <path d={teeth(70, 66, 28, 18)} strokeWidth="4" />
    <circle cx="140" cy="40" r="22" />
    <path d="M140 40L152 28" strokeWidth="2.6" />
    <path d="M120 50L99 60" />
    <path d="M140 22A18 18 0 0 1 156 48" className="stroke-now" strokeWidth="3" strokeDasharray="5 3" />
  </>
);
