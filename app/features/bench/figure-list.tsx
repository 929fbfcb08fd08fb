/** Names with their figures, one a row. */
export function FigureList({ of }: { of: readonly (readonly [name: string, value: string])[] }) {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-1">
      {of.map(([name, value]) => (
        <div key={name} className="contents">
          <dt className="text-mid">{name}</dt>
          <dd className="figure">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
