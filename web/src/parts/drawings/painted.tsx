import type { Drawn, Shape } from '@which-way/drawing/shape';
import { piecesOf } from '@which-way/drawing/shape';
import { createElement, Fragment, type ReactNode } from 'react';

/** A drawing as React paints it: the same data that a file is written from. */
export const Painted = ({ drawn }: { drawn: Drawn }): ReactNode => piecesOf(drawn).map(paint);

function paint(shape: Shape | string, place: number): ReactNode {
  if (typeof shape === 'string') return shape;
  const type = shape.tag === '' ? Fragment : shape.tag;
  return createElement(type, { ...shape.attributes, key: place }, ...shape.children.map(paint));
}
