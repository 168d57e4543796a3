import { Download } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactElement } from 'react';
import { SAVE_MENU_TEXT } from '@which-way/words/screens/controls/files/save-menu';

export const MENU_ITEM =
  'flex min-h-11 cursor-pointer items-center px-3 outline-none data-highlighted:bg-ink data-highlighted:text-sheet';

/** What can be taken away, a line each: words and what they do; a link may stand before them. */
export function SaveMenu({
  choices,
  children,
}: {
  choices: readonly (readonly [words: string, act: () => void])[];
  children?: ReactElement;
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="no-print flex min-h-12 items-center gap-2 rounded-part border-2 border-edge bg-sheet px-3 font-semibold hover:border-ink">
        <Download size={18} aria-hidden="true" />
        {SAVE_MENU_TEXT.takeAway}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          collisionPadding={8}
          className="z-40 rounded-part border-2 border-ink bg-sheet"
        >
          {children && <DropdownMenu.Item asChild>{children}</DropdownMenu.Item>}
          {choices.map(([text, act]) => (
            <DropdownMenu.Item key={text} onSelect={act} className={MENU_ITEM}>
              {text}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
