import { Fragment } from 'react';

/** A name that may end a line after each of its plus signs and slashes: `BRIDGE+MIDDLE`. */
export function Breakable({ name }: { name: string }) {
  return name.split(/(?<=[+/])/).map((part, index) => (
    <Fragment key={index}>
      {index > 0 && <wbr />}
      {part}
    </Fragment>
  ));
}
