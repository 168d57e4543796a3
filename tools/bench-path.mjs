// The search along a supply path: tests, looks and minutes beside plain halving.
import { performance } from 'node:perf_hooks';
import { chained, nextStep, pathVerdict, lookShows } from '@which-way/core/path';
import { newIdFrom, seededRandom } from '@which-way/core/switch';

const KINDS = ['plug', 'fuse', 'cord', 'terminals', 'switch', 'motor', 'lamp', 'coil'];
const READ_MINUTES = 0.5;

/** Minutes to reach a link of each kind, and how often it is the fault: as core/src/path/link-cost.ts says. */
const REACH = { plug: 0.2, fuse: 0.5, cord: 2, terminals: 2, switch: 2.5, motor: 4, lamp: 0.5, coil: 4 };
const CHANCE = { plug: 8, fuse: 12, cord: 18, terminals: 8, switch: 20, motor: 6, lamp: 20, coil: 6 };

/** Plain halving of the suspects, with the same costs: the other way that a bench takes. */
function byHalving(links, fault) {
  let [from, to] = [0, links.length - 1];
  let minutes = 0;
  let tests = 0;
  const reached = new Set([0]);
  const reach = (place) => {
    if (reached.has(place)) return 0.1;
    reached.add(place);
    const around = [links[place - 1], links[place]].filter(Boolean);
    return Math.min(...around.map(({ kind }) => REACH[kind]));
  };
  while (from < to) {
    const middle = (from + to) >> 1;
    const cords = links.slice(from, middle + 1).some(({ kind }) => kind === 'cord');
    minutes += reach(from) + reach(middle + 1) + READ_MINUTES + (cords ? 0.5 : 0);
    tests += 1;
    if (fault <= middle) to = middle;
    else from = middle + 1;
  }
  return { minutes, tests };
}

/** As proposed; a look shows the fault where this says so. */
function bySteps(links, fault, shown, times) {
  const path = { nodes: [], links, tests: [], looks: [], symptoms: [] };
  // That it is dead is known: something in it is at fault.
  const whole = links.map(({ id }) => id);
  path.tests.push({ id: 'whole', links: whole, way: 'through', result: 'fail', flexed: true });
  let [minutes, tests, looks] = [0, 0, 0];
  for (;;) {
    const verdict = pathVerdict(path);
    if (verdict.faults.length > 0) return { minutes, tests, looks };
    const began = performance.now();
    const step = nextStep(path, verdict);
    times.push(performance.now() - began);
    minutes += step.minutes;
    if (step.kind === 'look') {
      looks += 1;
      const found = step.link === links[fault].id && shown ? 'at-fault' : 'good';
      for (const sign of step.signs) path.looks.push({ link: step.link, sign, found, photo: null });
      continue;
    }
    tests += 1;
    const result = step.links.includes(links[fault].id) ? 'fail' : 'pass';
    path.tests.push({
      id: String(path.tests.length),
      links: step.links,
      way: 'through',
      result,
      flexed: true,
    });
  }
}

/** Forty links of usual kinds in a row, the most that a path may have there and back. */
function fortyLinks() {
  const newId = newIdFrom(seededRandom(11));
  const loose = Array.from({ length: 40 }, (_, index) => ({
    id: newId(),
    kind: KINDS[index % KINDS.length],
    name: null,
    conductor: 'feed',
  }));
  return chained(loose, [], newId).links;
}

/** Every single fault once, weighed by how often it is the one; a look shows it as often as it does. */
export function benchPath({ note, round }) {
  const links = fortyLinks();
  const times = [];
  const total = links.reduce((sum, { kind }) => sum + CHANCE[kind], 0);
  const mean = (of) => links.reduce((sum, { kind }, fault) => sum + (CHANCE[kind] / total) * of(fault), 0);
  const steps = links.map(({ kind }, fault) => {
    const [seen, unseen] = [true, false].map((shown) => bySteps(links, fault, shown, times));
    const mixed = (of) => lookShows(kind) * seen[of] + (1 - lookShows(kind)) * unseen[of];
    return { minutes: mixed('minutes'), tests: mixed('tests'), looks: mixed('looks') };
  });
  const halving = links.map((_, fault) => byHalving(links, fault));
  const tell = (words, of, unit, factor = 1) => note('path', words, round(factor * mean(of), 2), unit);
  tell('tests to find one fault among 40 links, mean', (at) => steps[at].tests, 'tests');
  tell('looks beside them', (at) => steps[at].looks, 'looks');
  tell('tests by halving', (at) => halving[at].tests, 'tests');
  tell('seconds, tests and looks', (at) => steps[at].minutes, 's', 60);
  tell('seconds by halving', (at) => halving[at].minutes, 's', 60);
  const median = times.sort((one, other) => one - other)[times.length >> 1];
  note('path', 'ms per proposed step, 40 links, median', round(median), 'ms');
}
