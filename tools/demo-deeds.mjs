// What is written down of a job, as short as the demo's notebooks need it.
import { newId } from './demo-library.mjs';

export const note = (add, notes) =>
  Object.entries(notes).forEach(([field, text]) => add({ kind: 'noted', field, text }));
export const RADIO_PHOTO = 'a0000000-0000-4000-8000-000000000001';
export const KILN_PHOTO = 'a0000000-0000-4000-8000-000000000002';
export const photo = (add, id, purpose, caption) =>
  add({ kind: 'photo-taken', photo: { id, purpose, caption, width: 1600, height: 1200, removed: false } });
export const marking = (add, box, ...runs) =>
  add({
    kind: 'transcribed',
    marking: { id: newId(), runs: runs.map(([text, sure = 'certain']) => ({ text, sure })), box },
  });
export const wire = (add, tag, color, terminal, goesTo, more = {}) =>
  add({
    kind: 'wire-tagged',
    wire: {
      id: newId(),
      tag: String(tag),
      color,
      size: '',
      termination: 'solder',
      goesTo,
      liveThough: false,
      terminal: terminal.id,
      removed: false,
      ...more,
    },
  });
/** A wire with the place where it ends; a load's end that goes on without the switch. */
export const ended = (add, tag, color, terminal, ends, more = {}) => {
  const id = newId();
  wire(add, tag, color, terminal, '', { id, ...more });
  if (ends.length > 0) add({ kind: 'wire-ended', wire: id, ends });
};
export const tied = (add, load, end, to) => add({ kind: 'load-tied', tie: { load, end, to } });
export const supplied = (add, name, kind, volts, current) => {
  const supply = { id: newId(), name, kind, volts, current, removed: false };
  add({ kind: 'supply-named', supply });
  return { at: 'supply', supply: supply.id };
};
export const fed = (add, name, kind, watts, volts, current) => {
  const load = { id: newId(), name, kind, amps: null, watts, volts, current, removed: false };
  add({ kind: 'load-named', load });
  return (end) => ({ at: 'load', load: load.id, end });
};
export const structural = (add, ...changes) =>
  changes.forEach((change) => add({ kind: 'restructured', change, basedOn: null }));
export const measured = (add, facts) =>
  Object.entries(facts).forEach(([field, [value, how]]) =>
    add({ kind: 'measured', fact: { field, value, how } }),
  );
