/** Heading of a small table of figures: the first column on the left, the others over their figures. */
export function SmallHead({ columns }: { columns: readonly string[] }) {
  return (
    <thead>
      <tr className="text-right text-soft">
        {columns.map((x, i) => (
          <th key={x} scope="col" className={`font-normal ${i === 0 ? "text-left" : ""}`}>
            {x}
          </th>
        ))}
      </tr>
    </thead>
  );
}
