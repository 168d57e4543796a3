import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, it } from 'vitest';
import { RadioLines } from './radio-lines';

const NAMES = ['one', 'two', 'three', 'four'] as const;

function Group() {
  const [value, setValue] = useState<(typeof NAMES)[number] | null>('one');
  const options = NAMES.map((name) => ({ value: name, text: name }));
  return <RadioLines label="Which" value={value} options={options} onChoose={setValue} />;
}

afterEach(cleanup);

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

it('says that what is chosen is chosen once more, and then alone', () => {
  const said: string[] = [];
  const options = NAMES.map((name) => ({ value: name, text: name }));
  render(
    <RadioLines
      label="Which"
      value="two"
      options={options}
      onChoose={(name) => said.push(`now ${name}`)}
      onAgain={(name) => said.push(`again ${name}`)}
    />,
  );
  fireEvent.click(screen.getByRole('radio', { name: 'two' }));
  expect(said).toEqual(['again two']);
  fireEvent.click(screen.getByRole('radio', { name: 'three' }));
  expect(said).toEqual(['again two', 'now three']);
});
