import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { useAnswerKeys } from './answer-keys.js';
import { giveKey, handsFree } from './hands-free.js';

function Screen({ yes, no }: { yes: () => void; no?: () => void }) {
  useAnswerKeys({ yes, ...(no && { no }) });
  return <input aria-label="a field" />;
}

afterEach(cleanup);

describe('the keys of a page that is worked by one hand', () => {
  it('are Enter for yes and Space for no, as on the Map; a field keeps its own, and a pedal does what it was taught', () => {
    const [yes, no] = [vi.fn(), vi.fn()];
    render(<Screen yes={yes} no={no} />);
    const press = (key: string, where: Element = document.body) => fireEvent.keyDown(where, { key });
    press('Enter');
    press(' ');
    expect([yes.mock.calls.length, no.mock.calls.length]).toEqual([1, 1]);
    press('Enter', screen.getByLabelText('a field'));
    press('x');
    expect([yes.mock.calls.length, no.mock.calls.length]).toEqual([1, 1]);
    const { keys } = handsFree.getState();
    expect(giveKey('no', 'F13')).toBeNull();
    press('F13');
    handsFree.setState({ keys });
    expect([yes.mock.calls.length, no.mock.calls.length]).toEqual([1, 2]);
  });

  it('leave a key without an answer to the browser', () => {
    render(<Screen yes={() => undefined} />);
    expect(fireEvent.keyDown(document.body, { key: ' ' })).toBe(true);
    expect(fireEvent.keyDown(document.body, { key: 'Enter' })).toBe(false);
  });
});
