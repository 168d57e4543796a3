// Writes the corpus on which the diagnosis is measured: diagnosis-a.json and diagnosis-b.json, from two seeds. A is what the
// diagnosis may be tuned on, B is what is reported. Drawn once and frozen: `npm run bench` prints both hashes.
import { readFileSync, writeFileSync } from 'node:fs';
import { kindsOf } from '@which-way/core/kinds';
import { partitionFromGroups, relabel } from '@which-way/core/partition';
import { seededRandom, shuffled } from '@which-way/core/switch';
import { contactCauses, contactsOf, contactsWith, singleCauses, withCause } from '@which-way/core/verify';

/** The kinds that the corpus was drawn from, in their order then: it stays as it was frozen. */
const PLAIN = [
  'on-off',
  'changeover-centre-off',
  'changeover',
  'selector',
  'progressive',
  'one-missing',
  'bridging',
];
const plainKinds = (terminals, settings) =>
  kindsOf(terminals, settings)
    .filter(({ kind }) => PLAIN.includes(kind))
    .toSorted((a, b) => a.ways - b.ways || PLAIN.indexOf(a.kind) - PLAIN.indexOf(b.kind));

const { library } = JSON.parse(readFileSync(new URL('corpus.json', import.meta.url), 'utf8'));
/** The switches of the planners' corpus, and some more of ordinary kinds. */
const switches = [
  ...library.map(({ family, name, terminals, positions }) => ({
    family,
    name,
    pattern: positions.map(({ joined }) =>
      partitionFromGroups(
        terminals.length,
        joined.map((net) => net.map((label) => terminals.indexOf(label))),
      ),
    ),
  })),
  ...[
    [6, 3],
    [8, 4],
    [12, 5],
    [15, 4],
  ].flatMap(([terminals, settings]) =>
    plainKinds(terminals, settings).map(({ kind, poles, ways, pattern }) => ({
      family: kind,
      name: `${kind} ${poles} x ${ways}`,
      pattern,
    })),
  ),
];
const same = (one, other) => JSON.stringify(one) === JSON.stringify(other);

/** Contacts that make the table as well, found with the terminals in another order. */
function otherContacts(pattern, random) {
  const places = pattern[0].map((_, place) => place);
  const order = shuffled(places, random);
  const back = new Map(order.map((to, from) => [to, from]));
  return contactsOf(relabel(pattern, order)).map((contact) =>
    contact.map((place) => back.get(place)).toSorted((a, b) => a - b),
  );
}

/** One cause out of a list that changes the table; null where none does. */
function drawn(pattern, contacts, causes, random) {
  for (let tries = 0; tries < 40 && causes.length > 0; tries += 1) {
    const cause = causes[Math.floor(random() * causes.length)];
    const truth = withCause(pattern, contacts, cause);
    if (!same(truth, pattern)) return { cause, truth };
  }
  return null;
}

const pairOf = (cause) => cause.contact ?? cause.terminals ?? null;

for (const [name, seed] of [
  ['a', 20261127],
  ['b', 711262021],
]) {
  const random = seededRandom(seed);
  const cases = switches.flatMap(({ family, name: called, pattern }) => {
    const rows = [pattern[0].map((_, place) => place)];
    const contacts = contactsOf(pattern);
    const one = drawn(pattern, contacts, singleCauses(pattern, contacts, rows), random);
    if (!one) return [];
    // The second is another contact's: a bridge that never closes is none.
    const made = contactsWith(pattern, contacts, one.cause);
    const seconds = contactCauses(one.truth, made).filter(
      (cause) => cause.cause !== 'swapped' && !same(pairOf(cause), pairOf(one.cause)),
    );
    const two = drawn(one.truth, made, seconds, random);
    const set = otherContacts(pattern, random);
    const ofContact = contactCauses(pattern, set).filter((cause) => 'contact' in cause);
    const other = drawn(pattern, set, ofContact, random);
    return [{ family, name: called, pattern, rows, one, two, other, seed: Math.floor(random() * 2 ** 31) }];
  });
  const file = { seed, cases };
  writeFileSync(new URL(`diagnosis-${name}.json`, import.meta.url), `${JSON.stringify(file)}\n`);
  process.stdout.write(
    `${name}: ${cases.length} cases, ${new Set(cases.map(({ family }) => family)).size} families\n`,
  );
}
