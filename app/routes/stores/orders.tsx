import { OpenPointLine } from "~/app/features/logbook/open-point-line";
import { PlaceHead } from "~/app/features/shell/head";
import { StoresNav } from "~/app/features/stores/stores-nav";
import { capital, countWords } from "~/app/features/words/count";
import { asPerson, everyRole } from "~/app/session/session.server";
import type { Route } from "./+types/orders";
import { loadOrders } from "./load-orders.server";

export const meta: Route.MetaFunction = () => [{ title: "To order, Harmostat" }];

export const loader = ({ context, request }: Route.LoaderArgs) => asPerson(context, request, everyRole, loadOrders);

/** Parts that somebody found wanting and nobody has fitted yet, over all machines. */
export default function Orders({ loaderData: { orders, now, mayClose } }: Route.ComponentProps) {
  const count = orders.length;
  return (
    <>
      <PlaceHead />
      <main className="p-5 max-sm:p-3.5 max-w-4xl">
        <StoresNav here="orders" />
        <h1 className="text-3xl max-sm:text-2xl font-bold mb-3">
          {count === 0
            ? "Nothing is to be ordered"
            : `${capital(countWords(count))} ${count === 1 ? "part is" : "parts are"} to be ordered`}
        </h1>
        <p className="text-lg text-mid mb-3">
          Found wanting as they came off. Each goes from the list when a new one is fitted, or when somebody says how it
          was done.
        </p>
        <ul>
          {orders.map((point) => (
            <OpenPointLine
              key={point.id}
              point={point}
              where={[point.machineName, point.stageName].filter(Boolean).join(", ")}
              to={`/machines/${point.machineId}`}
              now={now}
              mayClose={mayClose}
            />
          ))}
        </ul>
      </main>
    </>
  );
}
