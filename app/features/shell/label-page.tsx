import type { ReactNode } from "react";
import { Button } from "~/ui/button";
import { PlaceHead } from "./head";

/** A label to print and stick on something: its address as a QR code, and what a person reads beside it. */
export function LabelPage({
  name,
  how,
  svg,
  address,
  head,
  children,
}: {
  name: string;
  how: string;
  /** The code, made on the server from the thing's own address. */
  svg: string;
  address: string;
  /** Where the logbook stood when it was printed, of what has one. */
  head?: string;
  children: ReactNode;
}) {
  return (
    <>
      <div className="print:hidden">
        <PlaceHead />
      </div>
      <main className="p-5">
        <div className="print:hidden mb-6">
          <h1 className="text-3xl font-bold mb-2">Label for {name}</h1>
          <p className="text-lg mb-4 max-w-2xl">{how}</p>
          {/^https?:\/\/(127\.|localhost|\[::1\])/.test(address) && (
            <p role="status" className="text-lg mb-4 max-w-2xl border-l-4 border-near pl-3">
              Nobody has said by which address tablets reach the app (PUBLIC_URL): this code opens on the server itself
              only.
            </p>
          )}
          <Button kind="now" large onClick={() => window.print()}>
            Print
          </Button>
        </div>
        <figure
          className="inline-flex gap-4 items-center bg-white text-black border-2 border-black p-4 print:border-0"
          aria-label="The label"
        >
          {/* biome-ignore lint/security/noDangerouslySetInnerHtml: made on the server from the thing's own address */}
          <div className="w-40 h-40" dangerouslySetInnerHTML={{ __html: svg }} />
          <figcaption>
            <span className="block text-2xl font-bold">{name}</span>
            {children}
            <span className="block text-sm max-w-72 break-all mt-2">{address}</span>
            {head && <span className="block text-sm">{head}</span>}
          </figcaption>
        </figure>
      </main>
    </>
  );
}
