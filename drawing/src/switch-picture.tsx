/** @jsxImportSource @which-way/drawing */
import type { Side, TerminalId } from '@which-way/core/switch';
import { arrange, linkPath, type ArrangedSwitch } from './arrangement.js';
import { groundMark, linkMark, type GroundSaid, type LinkLook } from './marks.js';
import { terminalMark } from './terminal-mark.js';
import { piecesOf, type Picture } from './shape.js';

/** A line between two terminals that stands for a join in a setting. */
export interface PictureLink extends LinkLook {
  from: TerminalId;
  to: TerminalId;
}

/** A switch as a file shows it: nothing can be pressed, and nothing is being asked. */
export interface PicturedSwitch extends ArrangedSwitch {
  links: readonly PictureLink[];
}

/** Links between the same two terminals run side by side: the lane of each. */
export function lanesOf(links: readonly { from: TerminalId; to: TerminalId }[]): number[] {
  const used = new Map<string, number>();
  return links.map(({ from, to }) => {
    const key = [from, to].sort().join();
    const lane = used.get(key) ?? 0;
    used.set(key, lane + 1);
    return lane;
  });
}

/** The switch as it lies on the bench with its joins, seen from one side: the same marks as on the screen. */
export function switchPicture(
  drawn: PicturedSwitch,
  side: Side,
  said: GroundSaid & { caption: string },
): Picture {
  const arrangement = arrange(drawn, side);
  const { places, radius, height, ground } = arrangement;
  const lanes = lanesOf(drawn.links);
  const links = drawn.links.map((link, index) => {
    const [from, to] = [places.get(link.from), places.get(link.to)];
    return from && to && linkMark(linkPath(from, to, arrangement, lanes[index] ?? 0), link);
  });
  const terminals = drawn.terminals.map((terminal) => {
    const { x, y } = places.get(terminal.id) ?? { x: 500, y: height / 2 };
    return <g transform={`translate(${x} ${y})`}>{terminalMark(terminal, radius, 'plain', null)}</g>;
  });
  const shapes = piecesOf([ground.map((one) => groundMark(one, null, said)), links, terminals]);
  return { width: 1000, height, shapes, caption: said.caption };
}
