import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { expect, it } from 'vitest';
import { RadioLines } from './radio-lines';

const NAMES = ['one', 'two', 'three', 'four'] as const;

function Group() {
  const [value, setValue] = useState<(typeof NAMES)[number] | null>('one');
  const options = NAMES.map((name) => ({ value: name, text: name }));
  return <RadioLines label="Which" value={value} options={options} onChoose={setValue} />;
}

/** Presses a key and lets it go at once, on whatever has the focus. */
function tap(key: string) {
  const here = document.activeElement ?? document.body;
  fireEvent.keyDown(here, { key });
  fireEvent.keyUp(document.activeElement ?? document.body, { key });
}

it('counts every tap on an arrow, however quick, and chooses where it arrives', () => {
  render(<Group />);
  screen.getByRole('radio', { name: 'one' }).focus();
  for (const key of ['ArrowDown', 'ArrowRight', 'ArrowDown']) tap(key);
  expect(document.activeElement).toBe(screen.getByRole('radio', { name: 'four' }));
  expect(screen.getByRole('radio', { name: 'four' })).toBeChecked();
  tap('ArrowDown');
  expect(screen.getByRole('radio', { name: 'one' })).toBeChecked();
  tap('ArrowUp');
  expect(screen.getByRole('radio', { name: 'four' })).toBeChecked();
});
