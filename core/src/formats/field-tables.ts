import { DEED_KINDS, kindOf } from '../log/index.js';
import { ID_PATTERN, type Schema } from '../schema/index.js';
import { CHANGE_NAMES, CHANGES } from '../switch/index.js';

type Node = Record<string, unknown>;
const fieldsOf = (schema: Schema): [string, Node][] =>
  Object.entries((schema as Node)['properties'] as Record<string, Node>);

const code = (value: unknown): string => `\`${typeof value === 'string' ? value : JSON.stringify(value)}\``;
const FORMS: Readonly<Record<string, string>> = { [ID_PATTERN]: 'id' };

/** What a piece of schema takes, in a few words. */
function takes(node: Node): string {
  if ('const' in node) return code(node['const']);
  if (Array.isArray(node['enum'])) return (node['enum'] as unknown[]).map(code).join(', ');
  if (Array.isArray(node['anyOf'])) return (node['anyOf'] as Node[]).map(takes).join(' or ');
  if (Array.isArray(node['oneOf'])) return (node['oneOf'] as Node[]).map(caseOf).join(' or ');
  switch (node['type']) {
    case 'string':
      return textOf(node);
    case 'integer':
    case 'number':
      return numberOf(node);
    case 'array':
      return `list of ${takes(node['items'] as Node)}`;
    case 'object':
      return node['properties'] ? `{ ${Object.keys(node['properties']).join(', ')} }` : 'ids by id';
    case 'boolean':
      return 'true or false';
    default:
      return String(node['type']);
  }
}

/** A case of a union: its tag's value, and the fields that go with it. */
function caseOf(node: Node): string {
  const [first, ...more] = fieldsOf(node as Schema);
  const tag = first ? code(first[1]['const']) : '';
  return more.length === 0 ? tag : `${tag} (${more.map(([name]) => name).join(', ')})`;
}

function textOf({ pattern, format, maxLength, minLength }: Node): string {
  if (format === 'date-time') return 'date and time';
  if (typeof pattern === 'string' && FORMS[pattern]) return FORMS[pattern];
  return `text${minLength ? '' : ' or empty'}, at most ${maxLength}`;
}

function numberOf({ type, minimum, exclusiveMinimum, maximum }: Node): string {
  const word = type === 'integer' ? 'whole number' : 'number';
  const from = exclusiveMinimum === undefined ? `from ${minimum}` : `above ${exclusiveMinimum}`;
  return maximum === Number.MAX_SAFE_INTEGER ? `${word} ${from}` : `${word} ${from} to ${maximum}`;
}

const cell = (text: string): string => text.replaceAll('|', '\\|');
const row = (...cells: string[]): string => `| ${cells.map(cell).join(' | ')} |`;

/** The fields of an object that are new here: those that the tables before have shown are left to them. */
function fieldRows(owner: string, schema: Schema, without: string): string[] {
  return fieldsOf(schema)
    .filter(([name]) => name !== without)
    .flatMap(([name, node]) => [
      row(code(owner), code(name), takes(node), String(node['description'] ?? '')),
      ...inside(`${owner}.${name}`, node),
    ]);
}

/** The fields of objects inside a field, each where it stands. */
function inside(owner: string, node: Node): string[] {
  if (node['type'] === 'array') return inside(`${owner}[]`, node['items'] as Node);
  if (Array.isArray(node['anyOf'])) return (node['anyOf'] as Node[]).flatMap((one) => inside(owner, one));
  return node['type'] === 'object' && node['properties'] ? fieldRows(owner, node as Schema, '') : [];
}

/**
 * The tables of kinds of events, of changes, and of their fields as Markdown, made from the definitions: what the docs show is
 * what is checked.
 */
export function fieldTables(): string {
  const kinds = DEED_KINDS.map(kindOf);
  const changes = CHANGE_NAMES.map((name) => CHANGES[name]);
  return [
    row('`what.kind`', 'version', 'meaning'),
    row('---', '---', '---'),
    ...kinds.map(({ kind, version, says }) => row(code(kind), String(version), says)),
    '',
    'Changes of a `restructured` event:',
    '',
    row('`change.change`', 'meaning'),
    row('---', '---'),
    ...changes.map(({ change, says }) => row(code(change), says)),
    '',
    'Fields, each with what it takes:',
    '',
    row('where', 'field', 'takes', 'meaning'),
    row('---', '---', '---', '---'),
    ...kinds
      .filter(({ kind }) => kind !== 'restructured')
      .flatMap(({ kind, schema }) => fieldRows(kind, schema, 'kind')),
    ...changes.flatMap(({ change, schema }) => fieldRows(change, schema, 'change')),
    '',
  ].join('\n');
}
