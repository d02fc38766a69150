/** The fingers on a drawn strand: a slider along it, moved by the component that owns the drawing and by the keys it is given. */
export function Grip({
  label,
  value,
  valueText,
  y,
  width,
  closed,
  onKey,
}: {
  label: string;
  /** Per cent of the way. */
  value: number;
  valueText: string;
  /** Middle of the fingers, in units of a drawing 200 wide. */
  y: number;
  width: number;
  closed: boolean;
  /** Whether the key did something. */
  onKey: (key: string) => boolean;
}) {
  return (
    <g
      role="slider"
      tabIndex={closed ? -1 : 0}
      aria-label={label}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(Math.min(100, value))}
      aria-valuetext={valueText}
      aria-disabled={closed}
      className="cursor-grab"
      onKeyDown={(event) => {
        if (onKey(event.key)) event.preventDefault();
      }}
    >
      <rect
        x={100 - width / 2}
        y={y - 13}
        width={width}
        height={26}
        rx={13}
        className="stroke-on-surround fill-white/80 stroke-2"
      />
    </g>
  );
}
