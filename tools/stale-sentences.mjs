// Which tests, journeys and pages of the guide still say what a change has taken out of the words.
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { root } from './fresh-work.mjs';

const SAID_IN = 'words/src';
const SAYING = ['e2e', 'web/src', 'server/src', 'words/src', 'docs', 'README.md'];
/** Fewer words than this stand in many sentences. */
const LEAST_WORDS = 3;

function* filesIn(path) {
  if (/\.(tsx?|md)$/.test(path)) yield path;
  else if (!/\.\w+$/.test(path))
    for (const { name } of readdirSync(join(root, path), { withFileTypes: true }))
      if (!/^(node_modules|dist|screenshots)$/.test(name)) yield* filesIn(`${path}/${name}`);
}

const read = (path) => readFileSync(join(root, path), 'utf8');
const plain = (text) => text.toLowerCase().replace(/[’‘]/g, "'").replace(/\s+/g, ' ');

/** Runs of words in a text: what stands between figures, signs and the parameters of a template. */
const runsOf = (text) =>
  plain(text)
    .split(/[^a-z' -]+/)
    .map((run) => run.trim())
    .filter((run) => run.split(' ').length >= LEAST_WORDS);

/** What a test looks for, and what the guide quotes: its strings and patterns, or what stands in italics; each with its line. */
function quotedIn(path) {
  const text = read(path);
  if (path.endsWith('.md'))
    return text
      .split('\n')
      .flatMap((line, at) =>
        [...line.matchAll(/_([^_]+)_/g)].map(([, quoted]) => ({ quoted, line: at + 1 })),
      );
  const source = ts.createSourceFile(path, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const visit = (node) => {
    const isText =
      ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node);
    if (isText || ts.isRegularExpressionLiteral(node))
      found.push({
        quoted: node.text,
        line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1,
      });
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/**
 * @param diff the lines of a `git diff` of the words
 * @returns where something is said that the diff took out and that is said nowhere in the words now
 */
export function staleSentences(diff) {
  const gone = plain(diff.filter((line) => /^-[^-]/.test(line)).join('\n'));
  if (gone === '') return [];
  const said = plain(
    [...filesIn(SAID_IN)]
      .filter((path) => !/\.test\./.test(path))
      .map(read)
      .join('\n'),
  );
  const isSaying = (path) => /\.test\.tsx?$|\.md$/.test(path) || path.startsWith('e2e/');
  return SAYING.flatMap((folder) => [...filesIn(folder)])
    .filter(isSaying)
    .flatMap((path) =>
      quotedIn(path).flatMap(({ quoted, line }) =>
        runsOf(quoted)
          .filter((run) => gone.includes(run) && !said.includes(run))
          .map((run) => `${path}:${line} “${run}”`),
      ),
    );
}
