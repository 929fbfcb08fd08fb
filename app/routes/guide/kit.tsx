import { Link, useSearchParams } from "react-router";
import { PlaceHead } from "~/app/features/shell/head";
import { formatNumber } from "~/app/features/words/figure";
import { screwsText } from "~/app/features/words/parts";
import { lengthWords } from "~/app/features/words/spoken";
import { setTorque, torqueWords } from "~/app/features/words/torque";
import { useWords } from "~/app/features/words/use-words";
import { asPerson, everyRole } from "~/app/session/session.server";
import { guideOrder, kitOf } from "~/core/guides";
import { Button } from "~/ui/button";
import { Select } from "~/ui/field";
import type { Route } from "./+types/kit";
import { loadKitList } from "./load-kit-list.server";

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `Kit list, ${loaderData?.guide.name ?? "a guide"}, Harmostat` },
];

export const loader = ({ params, context, request }: Route.LoaderArgs) =>
  asPerson(context, request, everyRole, (asked) => loadKitList(asked, params.guideId));

/** What to lay out for a job by this guide, as far as a part that is to be reached; what the drawers lack stands first. */
export default function KitList({ loaderData: { guide, machine, stock, orders } }: Route.ComponentProps) {
  const reader = useWords();
  const [search, setSearch] = useSearchParams();
  const reach = guide.parts.some(({ id }) => id === search.get("reach")) ? String(search.get("reach")) : "";
  const found = guideOrder(guide.parts, reach || undefined);
  const taken = found.ok && found.value.reach ? [...found.value.reach.toReach, reach] : guide.parts.map(({ id }) => id);
  const kit = kitOf(
    guide.parts.filter(({ id }) => taken.includes(id)),
    stock,
    (set) => {
      const torque = setTorque(set);
      return torque && Number(torque.nm.toPrecision(3));
    },
  );
  const lacking = kit.spacers.filter((spacer) => spacer.lacking > 0);
  const list = (label: string, lines: readonly string[]) =>
    lines.length > 0 && (
      <section aria-label={label}>
        <h2 className="text-xl font-bold">{label}</h2>
        <ul className="text-lg">
          {lines.map((line) => (
            <li key={line} className="border-t border-rule py-1.5">
              {line}
            </li>
          ))}
        </ul>
      </section>
    );
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 grid gap-6 max-w-4xl">
        <header>
          <h1 className="text-3xl max-sm:text-2xl font-bold">
            {lacking.length > 0 ? "The drawers lack something for it" : "Kit list"}
          </h1>
          <p className="text-lg text-mid">
            <Link to={`/guides/${guide.guideId}`} className="text-ink">
              {guide.name}
            </Link>
            ,{" "}
            <Link to={`/machines/${machine.id}`} className="text-ink">
              {machine.name}
            </Link>
          </p>
        </header>
        <div className="flex flex-wrap gap-3 items-end print:hidden">
          <Select
            label="To reach"
            value={reach}
            onChange={(event) => setSearch(event.target.value ? { reach: event.target.value } : {}, { replace: true })}
          >
            <option value="">all of it</option>
            {guide.parts.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
          <Button large onClick={() => window.print()}>
            Print it
          </Button>
        </div>
        {list(
          "Lacking",
          lacking.map(
            ({ widthMm, lacking: count, from }) =>
              `${count} of ${lengthWords(reader, widthMm, 2)}: ${from ? `${from.name} has ${from.count}` : "no drawer has this size; make one"}`,
          ),
        )}
        {list(
          "Parts to bring",
          orders.map(({ text }) => text),
        )}
        {list("Tools", [
          ...kit.tools,
          ...(kit.torquesNm.length > 0
            ? [`Torque wrench: ${kit.torquesNm.map((torque) => torqueWords(reader, torque)).join(", ")}`]
            : []),
          ...(kit.heaviest
            ? [`Heaviest part: ${kit.heaviest.name}, ${formatNumber(reader, kit.heaviest.massKg, 1)} kg`]
            : []),
        ])}
        {list(
          "Screws, to be counted back",
          kit.screws.map((set) => screwsText([set])),
        )}
        {list(
          "Spacers and washers",
          kit.spacers.map(
            ({ widthMm, count, from }) =>
              `${count} × ${lengthWords(reader, widthMm, 2)}${from ? `, ${from.name}, ${from.place}, ${from.count} there` : ""}`,
          ),
        )}
        {kit.compound && list("Consumables", ["Threadlocking compound"])}
      </main>
    </>
  );
}
