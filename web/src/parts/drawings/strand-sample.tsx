import type { Strand } from '@which-way/drawing/strand';

/** A short piece of a setting's strand, to stand beside its name. */
export function StrandSample({ strand, width = 44 }: { strand: Strand; width?: number }) {
  return (
    <svg width={width} height={12} aria-hidden="true" className="shrink-0">
      <line
        x1={3}
        x2={width - 3}
        y1={6}
        y2={6}
        stroke={strand.color}
        strokeWidth={6}
        strokeDasharray={strand.dash}
        strokeLinecap={strand.dash.startsWith('1 ') ? 'round' : 'butt'}
      />
    </svg>
  );
}
