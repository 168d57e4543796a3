import { fireEvent, screen, within } from '@testing-library/react';
import { until } from './until.js';

/** What hands do on a screen, by what is written there. */
export const press = (name: string | RegExp, within_: HTMLElement = document.body): void =>
  void fireEvent.click(within(within_).getByRole('button', { name }));

export const choose = (name: string | RegExp, within_: HTMLElement = document.body): void =>
  void fireEvent.click(within(within_).getByRole('radio', { name }));

/** Opens a list of choices by its label, and takes one, by keys as a hand without a mouse does. */
export function pick(
  label: string | RegExp,
  option: string | RegExp,
  within_: HTMLElement = document.body,
): void {
  fireEvent.keyDown(within(within_).getByRole('combobox', { name: label }), { key: 'Enter' });
  fireEvent.keyDown(screen.getByRole('option', { name: option }), { key: 'Enter' });
}

/** Opens a part of a pane by its tab. */
export const openTab = (name: string): void =>
  void fireEvent.mouseDown(screen.getByRole('tab', { name }), { button: 0 });

/** Types into a field and leaves it. */
export function fill(label: string | RegExp, value: string, within_: HTMLElement = document.body): void {
  const field = within(within_).getByLabelText(label);
  fireEvent.change(field, { target: { value } });
  fireEvent.blur(field);
}

/** Enter in a field: its form is sent. */
export const send = (label: string | RegExp): void =>
  void fireEvent.submit(screen.getAllByLabelText(label)[0]?.closest('form') as HTMLFormElement);

export const tick = (label: string | RegExp, within_: HTMLElement = document.body): void =>
  void fireEvent.click(within(within_).getByLabelText(label));

/** The row of a list that has these words in it. */
export function row(words: string | RegExp): HTMLElement {
  const found = screen
    .getAllByRole('listitem')
    .find(({ textContent }) =>
      typeof words === 'string' ? textContent?.includes(words) : words.test(textContent ?? ''),
    );
  if (!found) throw new Error(`no row with ${String(words)}`);
  return found;
}

export { fireEvent, screen, until, within };
