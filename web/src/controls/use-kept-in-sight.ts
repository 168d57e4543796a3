import { useEffect, type RefObject } from 'react';
import { useLocation } from 'react-router';

/** On a narrow screen, brings the link of the page that is shown into the middle of its line. */
export function useKeptInSight(line: RefObject<HTMLElement | null>): void {
  const { pathname } = useLocation();
  useEffect(() => {
    const here = line.current?.querySelector<HTMLElement>('[aria-current=page]');
    if (!line.current || !here) return;
    const middle = here.offsetLeft + here.offsetWidth / 2;
    line.current.scrollTo({ left: middle - line.current.clientWidth / 2 });
  }, [line, pathname]);
}
