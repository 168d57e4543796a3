import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { KeptField } from './kept-field.js';

beforeEach(() => {
  vi.useFakeTimers();
  window.sessionStorage.clear();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

describe('a field that is kept by itself', () => {
  it('typed into and reloaded at once has its text again, and keeps it', () => {
    const kept: string[] = [];
    const field = () =>
      render(<KeptField label="The complaint" text="" maxLength={100} onKeep={(text) => kept.push(text)} />);
    const { unmount } = field();
    fireEvent.change(screen.getByLabelText('The complaint'), { target: { value: 'Hums.' } });
    unmount();
    expect(kept).toEqual([]);
    field();
    expect(screen.getByLabelText('The complaint')).toHaveValue('Hums.');
    vi.advanceTimersByTime(1000);
    expect(kept).toEqual(['Hums.']);
    fireEvent.blur(screen.getByLabelText('The complaint'));
    expect(window.sessionStorage).toHaveLength(0);
  });

  it('has no draft of another field, nor one of what was kept', () => {
    const one = render(<KeptField label="One" text="kept" maxLength={100} onKeep={() => undefined} />);
    fireEvent.change(screen.getByLabelText('One'), { target: { value: 'typed' } });
    one.unmount();
    render(<KeptField label="Other" text="as it was" maxLength={100} onKeep={() => undefined} />);
    expect(screen.getByLabelText('Other')).toHaveValue('as it was');
  });
});
