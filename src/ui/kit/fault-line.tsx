/** Why something was refused, said at once. */
export function FaultLine({
  fault,
  mark,
  id,
  big = false,
}: {
  fault: string | null;
  mark?: string;
  id?: string;
  /** On site: to be read at arm's length. */
  big?: boolean;
}) {
  return fault ? (
    <p
      id={id}
      role="alert"
      className={`${big ? "text-[16px]" : "text-[13px]"} font-medium text-stop`}
      data-fault={mark}
    >
      {fault}
    </p>
  ) : null;
}
