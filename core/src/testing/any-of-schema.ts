import fc from 'fast-check';
import { ID_PATTERN, type Schema } from '../schema/index.js';

/** A small pool, so that ids meet: the newest of an id, undo of what is there, wires on terminals that exist. */
const POOL = Array.from(
  { length: 12 },
  (_, index) => `a0000000-0000-4000-8000-0000000000${String(index).padStart(2, '0')}`,
);

/** Texts of the forms that schemas ask for by a regular expression; a form that is not listed here is told. */
const FORMS: Readonly<Record<string, fc.Arbitrary<string>>> = {
  [ID_PATTERN]: fc.constantFrom(...POOL),
  '^([A-Z]{2}){0,3}$': fc.constantFrom('', 'BK', 'BU', 'GNYE', 'RDWHBK'),
  '^https?://\\S+$': fc.constantFrom('https://example.org/part', 'http://shop.example/1?q=2'),
  '\\S': fc.string({ maxLength: 20 }).map((text) => `x${text}`),
};

type Node = Record<string, unknown>;
const MOST_ITEMS = 4;
const MOST_LETTERS = 60;

/**
 * Any value that a schema takes, made from the schema itself: a kind that is defined needs no generator of its own.
 * Lists are short, ids come from a small pool, and things with an id stand in a list once.
 * @throws Error for a piece of schema that it does not know.
 */
export function anyOfSchema(schema: Schema): fc.Arbitrary<unknown> {
  const node = schema as Node;
  if ('const' in node) return fc.constant(node['const']);
  if (Array.isArray(node['enum'])) return fc.constantFrom(...(node['enum'] as unknown[]));
  for (const union of ['anyOf', 'oneOf'])
    if (Array.isArray(node[union])) return fc.oneof(...(node[union] as Schema[]).map(anyOfSchema));
  switch (node['type']) {
    case 'null':
      return fc.constant(null);
    case 'boolean':
      return fc.boolean();
    case 'integer':
      return fc.integer({
        min: node['minimum'] as number,
        max: Math.min(node['maximum'] as number, 1_000_000),
      });
    case 'number':
      return anyNumber(node);
    case 'string':
      return anyText(node);
    case 'array':
      return anyList(node);
    case 'object':
      return anyObject(node);
    default:
      throw new Error(`no values are known for ${JSON.stringify(node)}`);
  }
}

function anyNumber({ minimum, maximum, exclusiveMinimum }: Node): fc.Arbitrary<number> {
  const min = (exclusiveMinimum ?? minimum) as number;
  return fc.double({
    min,
    max: maximum as number,
    noNaN: true,
    minExcluded: exclusiveMinimum !== undefined,
  });
}

function anyText({ pattern, minLength, maxLength, format }: Node): fc.Arbitrary<string> {
  if (format === 'date-time')
    return fc
      .date({ noInvalidDate: true, min: new Date(0), max: new Date(4e12) })
      .map((date) => date.toISOString());
  if (typeof pattern === 'string') {
    const form = FORMS[pattern];
    if (!form) throw new Error(`no text is known of the form ${pattern}`);
    return form;
  }
  return fc.string({
    minLength: minLength as number,
    maxLength: Math.min(maxLength as number, MOST_LETTERS),
  });
}

function anyList({ items, minItems = 0, maxItems, uniqueItems }: Node): fc.Arbitrary<unknown[]> {
  const item = anyOfSchema(items as Schema);
  const limits = {
    minLength: minItems as number,
    maxLength: Math.max(
      minItems as number,
      Math.min(MOST_ITEMS, (maxItems as number | undefined) ?? MOST_ITEMS),
    ),
  };
  const { properties } = items as { properties?: Node };
  if (properties?.['id'])
    return fc.uniqueArray(item, { ...limits, selector: (thing) => (thing as { id: string }).id });
  // Objects that hold the same are the same, as a checker of schemas has it.
  const selector = (thing: unknown) => JSON.stringify(thing);
  return uniqueItems === true ? fc.uniqueArray(item, { ...limits, selector }) : fc.array(item, limits);
}

function anyObject({
  properties,
  required,
  additionalProperties,
  propertyNames,
}: Node): fc.Arbitrary<unknown> {
  if (!properties)
    return fc.dictionary(
      anyOfSchema(propertyNames as Schema) as fc.Arbitrary<string>,
      anyOfSchema(additionalProperties as Schema),
      { maxKeys: 2 },
    );
  const fields = Object.entries(properties as Record<string, Schema>).map(
    ([name, schema]) => [name, anyOfSchema(schema)] as const,
  );
  return fc.record(Object.fromEntries(fields), { requiredKeys: (required as string[] | undefined) ?? [] });
}
