import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import * as circuit from '../machine/index.js';
import * as continuity from '../continuity/index.js';
import * as explain from '../explain/index.js';
import * as formats from '../formats/index.js';
import * as grid from '../grid/index.js';
import * as log from '../log/index.js';
import * as match from '../match/index.js';
import * as network from '../network/index.js';
import * as partition from '../partition/index.js';
import * as path from '../path/index.js';
import * as planner from '../planner/index.js';
import * as probing from '../probing/index.js';
import * as rating from '../rating/index.js';
import * as refit from '../refit/index.js';
import * as route from '../route/index.js';
import * as safety from '../safety/index.js';
import * as schema from '../schema/index.js';
import * as sense from '../sense/index.js';
import * as simulated from '../simulated/index.js';
import * as switches from '../switch/index.js';
import * as table from '../table/index.js';
import * as verdicts from '../verdict/index.js';
import * as verify from '../verify/index.js';
import * as worth from '../worth/index.js';
import { bench, CLOSED, OPEN } from './generated.js';
import { mapped } from './mapped.js';

/** What an example may name: the doors of every floor, and what makes a switch in a line. */
const SCOPE: Record<string, unknown> = {
  ...{
    ...grid,
    ...schema,
    ...switches,
    ...log,
    ...partition,
    ...network,
    ...rating,
    ...safety,
    ...worth,
    ...sense,
  },
  ...{ ...path, ...continuity, ...explain, ...planner, ...probing, ...table, ...verify, ...circuit },
  ...{ ...match, ...refit, ...verdicts, ...route, ...simulated, ...formats, bench, CLOSED, OPEN, mapped },
};

/** The doors through which a newcomer comes in: each shows what goes in and what comes out. */
const DOORS = [
  'advance',
  'answersTo',
  'checkOf',
  'compareWithExpected',
  'judge',
  'decodeMarking',
  'deriveMap',
  'diagnose',
  'differencesOf',
  'inEverySetting',
  'matchPattern',
  'planNext',
  'proposalsFor',
  'quantityOf',
  'recognise',
  'recordsOf',
  'resistanceBetween',
  'routeOf',
  'safetyStanding',
  'transferCard',
  'truthTable',
  'verdictOf',
  'worthSum',
];

const root = fileURLToPath(new URL('..', import.meta.url));

interface Example {
  of: string;
  code: string;
  gives: string;
}

/** The examples in the docstrings of a file that say what they give: statements, and at last `// =>` and the value. */
function examplesIn(file: string): Example[] {
  const text = readFileSync(`${root}${file}`, 'utf8');
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  return source.statements.flatMap((statement) => {
    const of =
      ts.isVariableStatement(statement) && statement.declarationList.declarations[0]
        ? statement.declarationList.declarations[0].name.getText()
        : ts.isFunctionDeclaration(statement)
          ? (statement.name?.text ?? '')
          : '';
    return ts.getJSDocTags(statement).flatMap(({ tagName, comment }) => {
      const said = ts.getTextOfJSDocComment(comment) ?? '';
      const [code, gives] = said.split(/\s*\/\/ => /);
      return tagName.text === 'example' && code !== undefined && gives !== undefined
        ? [{ of, code, gives }]
        : [];
    });
  });
}

/** Runs an example, and gives what its last line comes to. */
function comesTo({ code }: Example): unknown {
  const lines = code.trim().split('\n');
  // Within a function of its own, so that what an example names may be called as a door is.
  const body = `return (() => {\n${lines.slice(0, -1).join('\n')}\nreturn (${lines.at(-1) ?? ''});\n})();`;
  const names = Object.keys(SCOPE);
  return new Function(...names, body)(...names.map((name) => SCOPE[name])) as unknown;
}

const examples = readdirSync(root, { recursive: true })
  .map(String)
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
  .flatMap(examplesIn);

describe('an example in a docstring', () => {
  it.each(examples.map((example) => [example.of, example] as const))(
    'of %s gives what it says',
    (_, example) => {
      const gives = new Function(`return (${example.gives});`)() as unknown;
      expect(JSON.parse(JSON.stringify(comesTo(example)))).toEqual(gives);
    },
  );

  it('stands at every door', () => {
    const shown = new Set(examples.map(({ of }) => of));
    expect(DOORS.filter((door) => !shown.has(door))).toEqual([]);
  });
});
