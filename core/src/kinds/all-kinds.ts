import { HEAT } from './families/heat-and-light.js';
import { JOYSTICKS } from './families/joysticks.js';
import { MEASURING } from './families/measuring.js';
import { MOTORS } from './families/motors.js';
import { POLES } from './families/poles.js';
import { VEHICLES } from './families/vehicles.js';
import { WHOLE_CODES, type Family, type Kind } from './kind.js';

/** Families whose contacts make sense together only. */
const WHOLES: readonly Family[] = [...MOTORS, ...HEAT, ...VEHICLES, ...MEASURING, ...JOYSTICKS];
/** Every family of kinds, poles alike first. */
export const FAMILIES: readonly Family[] = [...POLES, ...WHOLES];

function listed(families: readonly Family[], terminals: number, settings: number): Kind[] {
  const met = new Set<string>();
  return families
    .flatMap(({ kinds }) => kinds(terminals, settings))
    .filter(({ pattern }) => {
      const key = pattern.map((nets) => nets.join()).join(' ');
      return !met.has(key) && met.add(key);
    });
}

/** Kinds with so many terminals in use and so many settings. Those of the same pattern are listed once. */
export const kindsOf = (terminals: number, settings: number): Kind[] => listed(FAMILIES, terminals, settings);

/** Of these, those whose contacts make sense together only. */
export const wholesOf = (terminals: number, settings: number): Kind[] => listed(WHOLES, terminals, settings);

const WHOLE = new Set<string>(WHOLE_CODES);
export const isWhole = ({ kind }: Pick<Kind, 'kind'>): boolean => WHOLE.has(kind);

/** One small switch of every family. */
export const exampleKinds = (): Kind[] =>
  FAMILIES.flatMap(({ kinds, example }) => kinds(example.terminals, example.settings).slice(0, 1));
