import type { ReactNode } from 'react';

/** Parts below each other, or side by side; side by side only where there is the width for it. */
const SHAPES = {
  stacked: 'flex w-full flex-col',
  beside: 'grid content-start lg:grid-rows-[minmax(0,1fr)] lg:content-stretch',
} as const;

/** What a page needs to be of use, in rem: on a lower screen the page scrolls after all. */
const LEAST = { 24: 'lg:min-h-[24rem]', 30: 'lg:min-h-[30rem]', 38: 'lg:min-h-[38rem]' } as const;

interface FittedMainProps {
  shape: keyof typeof SHAPES;
  least?: keyof typeof LEAST;
  /** Its columns and its space. */
  className?: string;
  children: ReactNode;
}

/** A page that is seen whole on a laptop: its parts scroll, it doesn't; on paper nothing scrolls. */
export function FittedMain({ shape, least = 24, className = '', children }: FittedMainProps) {
  return (
    <main data-fits className={`grow lg:basis-0 ${SHAPES[shape]} ${LEAST[least]} ${className}`}>
      {children}
    </main>
  );
}
