import { Tooltip } from 'radix-ui';
import type { ReactNode } from 'react';

/** A word more on something, for whoever rests the pointer or the focus on it. What matters never stands here alone. */
export function Hint({ text, children }: { text: string; children: ReactNode }) {
  return (
    <Tooltip.Provider delayDuration={400}>
      <Tooltip.Root>
        <Tooltip.Trigger asChild>{children}</Tooltip.Trigger>
        <Tooltip.Portal>
          <Tooltip.Content
            sideOffset={5}
            collisionPadding={8}
            className="z-40 max-w-80 rounded-part bg-ink px-3 py-1.5 text-small text-sheet"
          >
            {text}
          </Tooltip.Content>
        </Tooltip.Portal>
      </Tooltip.Root>
    </Tooltip.Provider>
  );
}
