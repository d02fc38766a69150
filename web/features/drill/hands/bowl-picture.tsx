/** Grams at which the drawn bowl is full to the brim. */
const BRIM = 220;
const BOTTOM = 168;
const TOP = 76;

/** A bowl on a scale, as full as what has been poured, and what the scale shows. */
export function BowlPicture({
  grams,
  shows,
  unit,
  label,
}: {
  grams: number;
  shows: string;
  unit: string;
  label: string;
}) {
  const full = Math.min(1, grams / BRIM);
  const surface = BOTTOM - (BOTTOM - TOP) * full;
  // The bowl widens upward.
  const half = 46 + 40 * full;
  return (
    <svg viewBox="0 0 280 260" className="h-64 w-auto max-w-full max-md:h-40">
      <path
        d={`M${140 - half} ${surface}Q140 ${surface + 8} ${140 + half} ${surface}L186 ${BOTTOM}H94Z`}
        className="fill-white/85"
      />
      <path
        d={`M54 ${TOP - 8}L94 ${BOTTOM}H186L226 ${TOP - 8}`}
        className="stroke-on-surround fill-none"
        strokeWidth={3}
      />
      <ellipse
        cx={140}
        cy={TOP - 8}
        rx={86}
        ry={9}
        className="stroke-on-surround fill-none"
        strokeWidth={3}
      />
      <rect x={70} y={BOTTOM + 2} width={140} height={8} rx={2} className="fill-on-surround" />
      <path
        d={`M58 ${BOTTOM + 12}H222L236 240H44Z`}
        className="fill-[#d4d4d4] stroke-on-surround"
        strokeWidth={2}
      />
      <rect x={84} y={194} width={112} height={36} rx={3} className="fill-[#f4f4f4] stroke-on-surround" />
      <text x={172} y={221} fontSize={24} fontWeight={700} textAnchor="end" fill="#0d0d0d">
        <tspan role="status" aria-label={label}>
          {shows}
        </tspan>
      </text>
      <text x={178} y={221} fontSize={13} fill="#0d0d0d">
        {unit}
      </text>
    </svg>
  );
}
