import { piecesOf, type Drawn, type Shape } from './shape.js';

/**
 * Lets drawings be written as JSX and come out as plain data: `<circle r={4} />` is `{ tag: 'circle', attributes: { r: 4 } }`.
 * A file says so with `@jsxImportSource @which-way/drawing`.
 */
export function jsx(type: string | ((props: never) => Drawn), props: Record<string, unknown>): Shape {
  if (typeof type === 'function')
    return { tag: '', attributes: {}, children: piecesOf(type(props as never)) };
  const { children, ...rest } = props;
  const attributes: Record<string, string | number> = {};
  for (const [name, value] of Object.entries(rest))
    if (typeof value === 'string' || typeof value === 'number') attributes[name] = value;
  return { tag: type, attributes, children: piecesOf(children as Drawn) };
}

export const jsxs = jsx;

/** Several pieces in a row. */
export const Fragment = ({ children }: { children?: Drawn }): Drawn => children;

export type * as JSX from './jsx-types.js';
