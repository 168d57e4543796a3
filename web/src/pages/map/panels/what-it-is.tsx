import type { Actuator } from '@which-way/core/switch';
import { Popover } from 'radix-ui';
import { useSession } from '../../../job/job-context.js';
import { PlainButton } from '../../../controls/plain-button.js';
import { PopoverPanel } from '../../../controls/popover-panel.js';
import { FormPictures } from '../../../parts/drawings/form-pictures.js';
import { WHAT_IT_IS_TEXT } from '@which-way/words/screens/pages/map/panels/what-it-is';

/** Nobody has said what the hand moves: one tap on a picture, and every word after it follows. */
export function WhatItIs({ actuator }: { actuator: Actuator }) {
  const session = useSession();
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <PlainButton className="w-full !px-2 text-small">{WHAT_IT_IS_TEXT.whatIsIt}</PlainButton>
      </Popover.Trigger>
      <PopoverPanel label={WHAT_IT_IS_TEXT.whatTheHandMoves} align="start" className="w-[34rem] p-4">
        <FormPictures
          chosen={null}
          onChoose={(form) =>
            session.restructure({
              change: 'actuator-described',
              actuator: actuator.id,
              name: actuator.name,
              form,
            })
          }
        />
      </PopoverPanel>
    </Popover.Root>
  );
}
