import { Link } from "react-router";

const places = [
  { key: "stores", to: "/stores", name: "Drawers" },
  { key: "orders", to: "/stores/orders", name: "To order" },
  { key: "instruments", to: "/stores/instruments", name: "Instruments" },
  { key: "sheets", to: "/stores/sheets", name: "CSV in and out" },
] as const;

/** Where one is within the stores. */
export function StoresNav({ here }: { here: (typeof places)[number]["key"] }) {
  return (
    <nav aria-label="Stores" className="flex flex-wrap gap-x-5 mb-3">
      {places.map(({ key, to, name }) => (
        <Link
          key={key}
          to={to}
          aria-current={key === here ? "page" : undefined}
          className="min-h-11 inline-flex items-center text-ink aria-[current=page]:font-bold aria-[current=page]:no-underline"
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}
