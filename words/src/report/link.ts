import { escaped } from './page.js';

/** Why a link shows no report. */
export type LinkTrouble = 'ended' | 'unreadable' | 'system';

const SAID: Record<LinkTrouble, readonly [title: string, text: string]> = {
  ended: ['This link has ended.', 'Ask the workshop for a new one.'],
  unreadable: ["This job can't be shown by a link.", 'Part of it is damaged. Look at it on the bench.'],
  system: [
    'There is no report here.',
    'Several switches together have no report. Ask for the link to one of them.',
  ],
};

export const cardHeading = (done: number, all: number): string => `Transfer card: ${done} of ${all} done`;
export const cardDone = (line: string, done: boolean): string => (done ? `${line} (done)` : line);

/** The page of a link that shows no report: a sentence or two, and nothing to press. */
export function linkTroublePage(trouble: LinkTrouble): string {
  const [title, text] = SAID[trouble];
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>${escaped(title)}</title>
<style>body { font: 1.15rem/1.45 system-ui, sans-serif; color: #16201c; background: #fff; margin: 0 auto; max-width: 36rem; padding: 1.5rem; } h1 { font-size: 1.5rem; }</style>
</head><body><main><h1>${escaped(title)}</h1><p>${escaped(text)}</p></main></body></html>
`;
}
