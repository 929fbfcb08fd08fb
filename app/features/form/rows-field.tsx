import { X } from "lucide-react";
import { type ClipboardEvent, Fragment, type ReactNode } from "react";
import { type FieldError, get, useController, useFieldArray, useFormContext, useFormState } from "react-hook-form";
import { Button } from "~/ui/button";
import { BareSelect } from "~/ui/field";
import type { Texts } from "./texts";

export type RowColumn = {
  name: string;
  label: string;
  /** It holds words, and takes the room that figures leave. */
  wide?: boolean;
  /** One of a list; the first where nothing was chosen. */
  options?: readonly { value: string; label: string }[];
};

/** `many`: so many columns that they do not stand in one line on a phone. */
export type RowShown = { id: string; name: string; many: boolean; children: ReactNode };

export const rowClass = (many: boolean): string =>
  many ? "max-sm:flex max-sm:flex-wrap max-sm:items-end max-sm:border-b max-sm:border-rule max-sm:pb-2" : "";

/** How rows are put into another order by hand: round all of them, and at the head of each. */
export type RowOrder = {
  Round: (props: {
    ids: readonly string[];
    onMove: (from: number, to: number) => void;
    children: ReactNode;
  }) => ReactNode;
  Row: (props: RowShown) => ReactNode;
};

type Rows = {
  name: string;
  legend: string;
  hint?: ReactNode;
  /** What one row is called: "Pulley". */
  one: string;
  columns: readonly RowColumn[];
  most?: number;
  order?: RowOrder;
  /** What a new row holds beside its columns: an id by which others name it. */
  fresh?: () => Texts;
};

/** A list of the same thing, a row each. Lines that are pasted, from a sheet or a letter, become rows. */
export function RowsField({ name, legend, hint, one, columns, most = 60, order, fresh }: Rows) {
  const { fields, append, remove, move, replace } = useFieldArray({ name });
  const { getValues } = useFormContext();
  const { errors } = useFormState({ name });
  const problem: FieldError | undefined = get(errors, `${name}.root`) ?? asError(get(errors, name));
  const blank = (): Texts => ({ ...Object.fromEntries(columns.map(({ name: column }) => [column, ""])), ...fresh?.() });
  const paste = (row: number, from: number, event: ClipboardEvent) => {
    const lines = event.clipboardData
      .getData("text")
      .split(/\r?\n|;/)
      .filter((line) => line.trim() !== "");
    if (lines.length < 2) return;
    event.preventDefault();
    const pasted = lines.map((line) => ({ ...blank(), ...cellsOf(line, columns.slice(from)) }));
    // As they are typed now: the fields of the list are those of its last change of rows.
    const rows: Texts[] = getValues(name);
    replace([...rows.slice(0, row), ...pasted, ...rows.slice(row + 1)].slice(0, most));
  };
  // Words take what figures leave.
  // Many stand two and two on a phone, each with its name.
  const many = columns.length > 5;
  const narrow = columns.some(({ wide }) => wide) ? "w-18 max-sm:w-12" : "w-28";
  const Round = order?.Round ?? Plain;
  const Row = order?.Row ?? PlainRow;
  return (
    <fieldset className="min-w-0">
      <legend className="font-semibold mb-1">{legend}</legend>
      {fields.length > 0 && (
        <Round ids={fields.map(({ id }) => id)} onMove={move}>
          <table className="w-full">
            <thead className={many ? "max-sm:sr-only" : ""}>
              <tr className="text-left text-mid">
                <td className="w-8" />
                {columns.map((column) => (
                  <th
                    key={column.name}
                    scope="col"
                    className={`font-normal pr-1 leading-tight align-bottom ${column.wide ? "min-w-24" : narrow}`}
                  >
                    {column.label}
                  </th>
                ))}
                <td className="w-10" />
              </tr>
            </thead>
            <tbody>
              {fields.map(({ id }, row) => (
                <Fragment key={id}>
                  <Row id={id} name={`${one} ${row + 1}`} many={many}>
                    {columns.map((column, at) => (
                      <td key={column.name} className={`p-0 pr-1 pb-1 ${many ? "max-sm:basis-2/5 max-sm:grow" : ""}`}>
                        {many && (
                          <span className="sm:hidden text-mid" aria-hidden="true">
                            {column.label}
                          </span>
                        )}
                        <Cell
                          name={`${name}.${row}.${column.name}`}
                          label={`${one} ${row + 1}, ${column.label}`}
                          column={column}
                          onPaste={(event) => paste(row, at, event)}
                        />
                      </td>
                    ))}
                    <td className="p-0 pb-1">
                      <button
                        type="button"
                        className="min-h-12 w-10 grid place-items-center cursor-pointer"
                        aria-label={`Take out ${one.toLowerCase()} ${row + 1}`}
                        onClick={() => remove(row)}
                      >
                        <X aria-hidden="true" size={20} />
                      </button>
                    </td>
                  </Row>
                  <RowProblem name={`${name}.${row}`} columns={columns} />
                </Fragment>
              ))}
            </tbody>
          </table>
        </Round>
      )}
      {problem && (
        <p role="alert" className="text-outside font-semibold">
          {problem.message}
        </p>
      )}
      <Button onClick={() => append(blank())} disabled={fields.length >= most}>
        {fields.length === 0 ? `Add ${article(one)}` : `Another ${one.toLowerCase()}`}
      </Button>
      {hint && <p className="text-mid mt-1">{hint}</p>}
    </fieldset>
  );
}

const Plain = ({ children }: { children: ReactNode }) => children;
const PlainRow = ({ name, many, children }: RowShown) => (
  <tr className={rowClass(many)}>
    <th scope="row" className="text-left font-normal text-mid figure">
      <span className="sr-only">{name}</span>
      <span aria-hidden="true">{name.split(" ").at(-1)}</span>
    </th>
    {children}
  </tr>
);

const article = (one: string): string => `${/^[aeiou]/i.test(one) ? "an" : "a"} ${one.toLowerCase()}`;
const asError = (found: unknown): FieldError | undefined =>
  found && !Array.isArray(found) && typeof (found as FieldError).type === "string" ? (found as FieldError) : undefined;

/** A line's words in the columns that follow each other; of a column of options only what is one of them. */
function cellsOf(line: string, columns: readonly RowColumn[]): Texts {
  const parts = line.trim().split(line.includes("\t") ? "\t" : /[\s×]+/);
  return Object.fromEntries(
    columns.map(({ name, options }, i) => {
      const text = (parts[i] ?? "").trim();
      return [name, options && !options.some(({ value }) => value === text) ? "" : text];
    }),
  );
}

function Cell({
  name,
  label,
  column: { options, wide },
  onPaste,
}: {
  name: string;
  label: string;
  column: RowColumn;
  onPaste: (event: ClipboardEvent) => void;
}) {
  const { field, fieldState } = useController({ name, defaultValue: "" });
  const wrong = fieldState.error !== undefined;
  const size = "min-h-12 w-full px-2 max-sm:px-1";
  return options ? (
    <BareSelect {...field} label={label} wrong={wrong} value={field.value || options[0]?.value} className={size}>
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </BareSelect>
  ) : (
    <input
      {...field}
      aria-label={label}
      aria-invalid={wrong || undefined}
      autoComplete="off"
      onPaste={onPaste}
      className={`${size} text-lg bg-panel border-2 ${wrong ? "border-outside" : "border-ink"} ${wide ? "min-w-20" : "figure min-w-11"}`}
    />
  );
}

/** What is wrong in a row, under it. */
function RowProblem({ name, columns }: { name: string; columns: readonly RowColumn[] }) {
  const { errors } = useFormState({ name });
  const problems = columns.flatMap((column) => {
    const error = asError(get(errors, `${name}.${column.name}`));
    return error ? [`${column.label}: ${error.message}`] : [];
  });
  if (problems.length === 0) return null;
  return (
    <tr>
      <td />
      <td colSpan={columns.length + 1}>
        <p role="alert" className="text-outside font-semibold pb-1">
          {problems.join(" ")}
        </p>
      </td>
    </tr>
  );
}
