/** Control characters and what else ends a line or turns the direction of what follows it, without the line feed and the tab. */
const CONTROLS = /[\p{Cc}\p{Zl}\p{Zp}\u202a-\u202e\u2066-\u2069]/gu;

/**
 * A text as a file or a printed page may hold it: nothing in it steers a program that reads it. Line feeds and tabs stay.
 * @example plainText('A\u0000B\u001b[2J') === 'AB[2J'
 */
export const plainText = (text: string): string =>
  text.replace(CONTROLS, (sign) => (sign === '\n' || sign === '\t' ? sign : ''));

/**
 * The same on one line: whatever would end it is a space.
 * @example plainLine('lamp\n.control') === 'lamp .control'
 */
export const plainLine = (text: string): string =>
  text
    .replace(/[\s\u2028\u2029\u0085\u000b\u000c]+/gu, ' ')
    .replace(CONTROLS, '')
    .trim();

/** Every text in a value made plain, the value otherwise as it is. */
export function plainTexts<Value>(value: Value): Value {
  if (typeof value === 'string') return plainText(value) as Value;
  if (Array.isArray(value)) return value.map((one: unknown) => plainTexts(one)) as Value;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([name, held]) => [name, plainTexts(held)])) as Value;
}
