/** A piece of JSON Schema (draft 2020-12) as plain data. */
export type Schema = Record<string, unknown>;

export const object = (properties: Record<string, Schema>, optional: string[] = []): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  additionalProperties: false,
});
export const list = (items: Schema, limits: Schema = {}): Schema => ({ type: 'array', items, ...limits });
export const text = (maxLength: number, minLength = 0): Schema => ({ type: 'string', minLength, maxLength });
export const orNull = (schema: Schema): Schema => ({ anyOf: [schema, { type: 'null' }] });
export const oneOf = (values: readonly string[]): Schema => ({ enum: [...values] });
export const only = (value: string | number): Schema => ({ const: value });
export const flag: Schema = { type: 'boolean' };
export const count = (minimum: number, maximum: number): Schema => ({ type: 'integer', minimum, maximum });
export const fraction: Schema = { type: 'number', minimum: 0, maximum: 1 };
/** Cases of a tagged union, told apart by one property, so that a complaint names the case that was meant. */
export const tagged = (
  tag: string,
  cases: Record<string, Record<string, Schema>>,
  optional: string[] = [],
): Schema => ({
  type: 'object',
  discriminator: { propertyName: tag },
  required: [tag],
  oneOf: Object.entries(cases).map(([value, properties]) =>
    object({ [tag]: only(value), ...properties }, optional),
  ),
});

export const id: Schema = {
  type: 'string',
  pattern: '^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$',
};
export const time: Schema = { type: 'string', format: 'date-time', maxLength: 40 };
