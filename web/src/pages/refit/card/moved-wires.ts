import type { CardLine, Refit } from '@which-way/core/refit';
import type { MovedWire } from '@which-way/drawing/side-by-side';

/** The wires that lines of the card move, lug to lug. */
export const movedWires = ({ lugs }: Refit, lines: readonly CardLine[]): MovedWire[] =>
  lines.flatMap((line) =>
    line.kind === 'wire' && line.wire.terminal
      ? [
          {
            from: line.wire.terminal,
            to: lugs.indexOf(line.to),
            tag: line.wire.tag,
            color: line.wire.color,
          },
        ]
      : [],
  );
