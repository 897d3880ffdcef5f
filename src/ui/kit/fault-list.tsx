/** Why a sheet was not read: each fault by its place. */
export function FaultList({ title, faults }: { title: string; faults: readonly { path: string; message: string }[] }) {
  return faults.length ? (
    <div role="alert" className="text-[13.5px] font-medium text-stop">
      <p>{title}</p>
      <ul>
        {faults.map((f) => (
          <li key={`${f.path} ${f.message}`}>
            {f.path ? `${f.path}: ` : ""}
            {f.message}
          </li>
        ))}
      </ul>
    </div>
  ) : null;
}
