import type { Drawn, Shape } from './shape.js';

// The names under which the compiler looks for the types of JSX.

/** What may stand on a piece: the attributes of SVG that the drawings use. */
interface Attributes {
  children?: Drawn;
  key?: string | number;
  [attribute: string]: Drawn | undefined;
}

type Tag = 'circle' | 'g' | 'image' | 'line' | 'path' | 'polyline' | 'rect' | 'text' | 'title';

export type Element = Shape;
export type ElementType = Tag | ((props: never) => Drawn);
export type IntrinsicElements = Record<Tag, Attributes>;
export interface ElementChildrenAttribute {
  children: unknown;
}
export interface IntrinsicAttributes {
  key?: string | number | undefined;
}
