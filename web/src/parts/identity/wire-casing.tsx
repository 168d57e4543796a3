import { colorsOf, type Wire } from '@which-way/core/log';

/** A wire's tag, its colour as a small swatch in a neutral casing, and its code: never the colour alone. */
export function WireCasing({ wire: { tag, color } }: { wire: Pick<Wire, 'tag' | 'color'> }) {
  return (
    <span className="inline-flex items-center gap-2 rounded-full border-2 border-quiet bg-sheet px-2.5 py-0.5 font-mono font-bold">
      <Swatch color={color} />
      <span>{tag}</span>
      <span className="font-normal">{color || '–'}</span>
    </span>
  );
}

/** The colours of a code, side by side. */
export function Swatch({ color }: { color: string }) {
  const colors = colorsOf(color) ?? [];
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
      {colors.length === 0 && (
        <circle cx="9" cy="9" r="7" fill="none" stroke="var(--quiet)" strokeDasharray="2 2" />
      )}
      {colors.map(({ shown }, index) => (
        <rect
          key={index}
          x={2 + (14 / colors.length) * index}
          y="2"
          width={14 / colors.length}
          height="14"
          fill={shown}
        />
      ))}
      {colors.length > 0 && (
        <rect x="2" y="2" width="14" height="14" fill="none" stroke="var(--quiet)" strokeWidth="1.5" />
      )}
    </svg>
  );
}
