import type { ReactNode } from "react";
import { ChoiceField } from "../form/choice-field";

/** Fields beside each other. */
export const FieldRow = ({ children }: { children: ReactNode }) => (
  <div className="grid grid-cols-2 sm:grid-cols-3 gap-4">{children}</div>
);

/** What few need; its fields are part of the form all the same. */
export const MoreFields = ({ title, children }: { title: string; children: ReactNode }) => (
  <details>
    <summary className="min-h-11 content-center cursor-pointer underline">{title}</summary>
    <div className="grid gap-4 pt-2">{children}</div>
  </details>
);

export const HandField = ({ name = "hand", legend }: { name?: string; legend: string }) => (
  <ChoiceField
    name={name}
    legend={legend}
    usual="right"
    options={[
      { value: "right", label: "right-hand" },
      { value: "left", label: "left-hand" },
    ]}
  />
);
