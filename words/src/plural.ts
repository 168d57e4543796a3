/**
 * A number with its noun: the one way in which anything is counted.
 * @example plural(1, 'touch', 'touches') === '1 touch'
 */
export const plural = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

export const touches = (count: number): string => plural(count, 'touch', 'touches');
