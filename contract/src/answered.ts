import { ValidateBy } from 'class-validator';

/** Rules of answers: no more than what a page leans on; the server does not check what it says itself. */
const held = (name: string, holds: (value: unknown) => boolean) => (): PropertyDecorator =>
  ValidateBy({ name, validator: { validate: (value) => holds(value) } });

const isFields = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

export const Text = held('text', (value) => typeof value === 'string');
export const TextOrNull = held('textOrNull', (value) => value === null || typeof value === 'string');
export const Count = held('count', (value) => typeof value === 'number');
export const CountOrNull = held('countOrNull', (value) => value === null || typeof value === 'number');
export const YesNo = held('yesNo', (value) => typeof value === 'boolean');
export const List = held('list', Array.isArray);
export const Fields = held('fields', isFields);
export const FieldsOrNull = held('fieldsOrNull', (value) => value === null || isFields(value));
