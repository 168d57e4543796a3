import {
  Array as ArrayOf,
  Boolean as TrueOrFalse,
  Integer,
  Number as AnyNumber,
  Object as ObjectOf,
  Optional,
  String as TextOf,
  Unsafe,
  type Static,
  type TObject,
  type TOptional,
  type TProperties,
  type TSchema,
  type TUnsafe,
} from '@sinclair/typebox';

/** A piece of JSON Schema (draft 2020-12) that carries the static type of what it describes. */
export type Schema = TSchema;
/** The type of what a schema describes. */
export type TypeOf<Described extends Schema> = Static<Described>;
/** The fields of an object, by name. */
export type Fields = TProperties;

/** An object with these fields and no others. */
export const object = <Of extends Fields>(fields: Of): TObject<Of> =>
  ObjectOf(fields, { additionalProperties: false });

/** A field that may be left out. */
export const optional = <Of extends Schema>(schema: Of): TOptional<Of> =>
  Optional(schema) as unknown as TOptional<Of>;

/** The same schema with a sentence on what it is for; the published schema and the tables of the docs show it. */
export const says = <Of extends Schema>(description: string, schema: Of): Of => ({ ...schema, description });

export interface ListLimits {
  minItems?: number;
  maxItems?: number;
  uniqueItems?: boolean;
}
export const list = <Of extends Schema>(items: Of, limits: ListLimits = {}) => ArrayOf(items, limits);

/** A list of just two that differ. */
export const two = <Of extends Schema>(items: Of): TUnsafe<[Static<Of>, Static<Of>]> =>
  Unsafe<[Static<Of>, Static<Of>]>({ type: 'array', items, minItems: 2, maxItems: 2, uniqueItems: true });

/** Text of at most so many characters, empty unless `least` says otherwise. */
export const text = (maxLength: number, minLength = 0) => TextOf({ minLength, maxLength });
/** Text of a certain form, as a regular expression. */
export const written = (maxLength: number, pattern: string) => TextOf({ maxLength, pattern });
/** One line without control characters, and not of blanks alone. */
export const VISIBLE_LINE = '^\\P{Cc}*[^\\s\\p{C}]\\P{Cc}*$';
/** Text with a letter, a number or a sign in it: blanks alone are refused. */
export const words = (maxLength: number) => TextOf({ minLength: 1, maxLength, pattern: '\\S' });

/** What a job is called: words on one line, with something in them that is seen. */
export const title = (maxLength: number) => TextOf({ minLength: 1, maxLength, pattern: VISIBLE_LINE });

export const orNull = <Of extends Schema>(schema: Of): TUnsafe<Static<Of> | null> =>
  Unsafe<Static<Of> | null>({ anyOf: [schema, { type: 'null' }] });

export const oneOf = <const Value extends string>(values: readonly Value[]): TUnsafe<Value> =>
  Unsafe<Value>({ enum: [...values] });

export const only = <const Value extends string | number | boolean>(value: Value): TUnsafe<Value> =>
  Unsafe<Value>({ const: value });

export const flag = TrueOrFalse();
/** A whole number from `minimum` to `maximum`. */
export const count = (minimum: number, maximum: number) => Integer({ minimum, maximum });
/** Any number from `minimum` to `maximum`. */
export const amount = (minimum: number, maximum: number) => AnyNumber({ minimum, maximum });
/** Any number above `exclusiveMinimum`, to `maximum`. */
export const above = (exclusiveMinimum: number, maximum: number) => AnyNumber({ exclusiveMinimum, maximum });
export const fraction = amount(0, 1);

type Cases = Record<string, Fields>;
/** The union of a tag's cases. */
export type Tagged<Tag extends string, Of extends Cases> = {
  [Value in keyof Of & string]: { [Key in Tag]: Value } & Static<TObject<Of[Value]>> extends infer Case
    ? { [Key in keyof Case]: Case[Key] }
    : never;
}[keyof Of & string];

/** Cases of a union, told apart by one property, so that a complaint names the case that was meant. */
export const tagged = <const Tag extends string, Of extends Cases>(
  tag: Tag,
  cases: Of,
): TUnsafe<Tagged<Tag, Of>> =>
  Unsafe<Tagged<Tag, Of>>({
    type: 'object',
    discriminator: { propertyName: tag },
    required: [tag],
    oneOf: Object.entries(cases).map(([value, fields]) => object({ [tag]: only(value), ...fields })),
  });

/** UUIDs as RFC 9562 writes them, in lower case: the one spelling of an id, here, at the server's door and in files. */
export const ID_PATTERN = '^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$';
const uuid = { type: 'string', pattern: ID_PATTERN };
/** An id of one sort: every sort has the same schema, and a type of its own. */
export const id = <Id extends string>(): TUnsafe<Id> => uuid as unknown as TUnsafe<Id>;

/** Date and time with its zone (RFC 3339). */
export const time = TextOf({ format: 'date-time', maxLength: 40 });

/** An object whose names are ids and whose values are too. */
export const byId = <Key extends string, Value extends string>(): TUnsafe<Record<Key, Value>> =>
  Unsafe<Record<Key, Value>>({ type: 'object', additionalProperties: uuid, propertyNames: uuid });

/** The union of schemas that are told apart by one property of theirs. */
export const unionOf = <Union>(tag: string, cases: readonly Schema[]): TUnsafe<Union> =>
  Unsafe<Union>({
    type: 'object',
    discriminator: { propertyName: tag },
    required: [tag],
    oneOf: [...cases],
  });
