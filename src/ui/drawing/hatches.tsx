/** Hatches of the unrolled room: they keep their size on the screen whatever the zoom. */
export function Hatches({ px }: { px: (n: number) => number }) {
  return (
    <defs>
      <pattern id="band" patternUnits="userSpaceOnUse" width={px(7)} height={px(7)} patternTransform="rotate(45)">
        <rect width={px(7)} height={px(7)} fill="var(--zone)" />
        <line x1={0} y1={0} x2={0} y2={px(7)} stroke="var(--zoneline)" strokeWidth={px(1.4)} />
      </pattern>
      <pattern id="strip" patternUnits="userSpaceOnUse" width={px(6)} height={px(6)} patternTransform="rotate(-45)">
        <rect width={px(6)} height={px(6)} fill="var(--zone)" />
        <line x1={0} y1={0} x2={0} y2={px(6)} stroke="var(--zoneline)" strokeWidth={px(0.9)} />
      </pattern>
      <pattern id="barred" patternUnits="userSpaceOnUse" width={px(9)} height={px(9)} patternTransform="rotate(45)">
        <path d={`M0,0v${px(9)}M0,0h${px(9)}`} stroke="var(--stop)" strokeWidth={px(0.9)} opacity={0.55} />
      </pattern>
      <pattern id="foil" patternUnits="userSpaceOnUse" width={px(22)} height={px(22)}>
        <path
          d={`M0,${px(11)}h${px(6)}M${px(11)},0v${px(6)}`}
          stroke="var(--soft)"
          strokeWidth={px(0.7)}
          opacity={0.6}
        />
      </pattern>
      <pattern id="reverse" patternUnits="userSpaceOnUse" width={px(6)} height={px(6)} patternTransform="rotate(-45)">
        <line
          x1={0}
          y1={0}
          x2={0}
          y2={px(6)}
          stroke="var(--zoneline)"
          strokeWidth={px(1.4)}
          strokeDasharray={`${px(2)} ${px(2)}`}
        />
      </pattern>
    </defs>
  );
}
