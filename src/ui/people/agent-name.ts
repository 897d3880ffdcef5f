/** What a device calls itself, in few words: "phone, Firefox family" is of no use to anyone, so only its kind and system. */
export function agentName(agent: string): string {
  const kind = /iPhone|Android.*Mobile|Mobile/.test(agent)
    ? "A phone"
    : /iPad|Tablet|Android/.test(agent)
      ? "A tablet"
      : /Mozilla/.test(agent)
        ? "A computer"
        : "A device";
  const system = (
    [
      [/iPhone|iPad/, "iOS"],
      [/Android/, "Android"],
      [/Windows/, "Windows"],
      [/Mac OS X/, "macOS"],
      [/Linux/, "Linux"],
    ] as const
  ).find(([sign]) => sign.test(agent))?.[1];
  return system ? `${kind}, ${system}` : kind;
}
