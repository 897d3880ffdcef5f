/** Why something was refused, said at once. */
export function FaultLine({ fault, mark }: { fault: string | null; mark?: string }) {
  return fault ? (
    <p role="alert" className="text-[13px] font-medium text-stop" data-fault={mark}>
      {fault}
    </p>
  ) : null;
}
