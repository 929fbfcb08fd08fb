import { type ComponentProps, type ReactNode, useId, useState } from "react";
import { buttonClass } from "./button";

/** A file or photograph to be chosen, with its name once it is; emptied with its form. */
export function FileField({ label, ...rest }: { label: ReactNode } & Omit<ComponentProps<"input">, "type" | "id">) {
  const id = useId();
  const [chosen, setChosen] = useState("");
  return (
    <div>
      <label htmlFor={id} className="block font-semibold mb-1">
        {label}
      </label>
      <div className="flex flex-wrap gap-3 items-center">
        <span
          className={`${buttonClass("line", true)} relative has-focus-visible:outline-3 has-focus-visible:outline-now outline-offset-2`}
        >
          <input
            {...rest}
            ref={(input) => {
              // What empties a form empties this as well.
              const empty = () => setChosen("");
              input?.form?.addEventListener("reset", empty);
              return () => input?.form?.removeEventListener("reset", empty);
            }}
            id={id}
            type="file"
            className="absolute inset-0 opacity-0 cursor-pointer"
            onChange={(event) => {
              setChosen(event.target.files?.[0]?.name ?? "");
              rest.onChange?.(event);
            }}
          />
          <span aria-hidden="true">Choose</span>
        </span>
        <span className="text-mid break-all">{chosen || "nothing chosen"}</span>
      </div>
    </div>
  );
}
