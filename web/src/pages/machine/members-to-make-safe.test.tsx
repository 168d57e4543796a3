import { deriveMap } from '@which-way/core/continuity';
import type { JobId } from '@which-way/core/switch';
import { cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { MembersToMakeSafe } from './members-to-make-safe.js';
import type { Member } from './use-members.js';

afterEach(cleanup);

const member = (name: string, more: Partial<Member>): Member => ({
  ...{ job: name as JobId, name, map: deriveMap([]), why: null, outOfMachine: false },
  ...more,
});
const shown = (...members: Member[]) =>
  render(
    <MemoryRouter>
      <MembersToMakeSafe members={members} />
    </MemoryRouter>,
  );

describe('before hands go into a machine with several switches', () => {
  it('names those whose safety list nobody answers for, each with the way to it', () => {
    shown(member('Helm', {}), member('Cabin', { outOfMachine: true }), member('Deck', {}));
    expect(screen.getByText('First make it safe')).toBeVisible();
    expect(screen.getAllByRole('link').map((link) => [link.textContent, link.getAttribute('href')])).toEqual([
      ['Helm', '/jobs/Helm/safe'],
      ['Deck', '/jobs/Deck/safe'],
    ]);
  });

  it('says nothing where all are out of the machine, nor of one that cannot be read', () => {
    shown(member('Helm', { outOfMachine: true }), member('Cabin', { map: null, why: 'it is put away' }));
    expect(screen.queryByText('First make it safe')).toBeNull();
  });
});
