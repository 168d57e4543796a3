import type { SwitchMap } from '@which-way/core/continuity';
import { recordsOf, type Value } from '@which-way/core/log';
import { STANDING_WORDS } from './facts.js';
import { evidenceWords } from '../quantity.js';
import { settingName, terminalName } from '../terminals.js';
import { TERMINATION_WORDS } from '../tag/wires.js';

/** A value as a figure in ohms where it is one, else what was seen. */
const shown = (value: Value): string => (value.kind === 'ohms' ? String(value.ohms) : value.kind);

/** Every reading as it was taken, its head first: a row a reading, those that do not count too, and why. */
export function readingRows({ tape, structure }: SwitchMap): string[][] {
  const labels = (ids: readonly Parameters<typeof terminalName>[1][]) =>
    ids.map((id) => terminalName(structure, id)).join(' ');
  return [
    ['when', 'position', 'red', 'black', 'ohms or what was seen', 'means', 'counts', 'meter'],
    ...tape.map(({ event, reading, standing, evidence, meter }) => [
      event.at,
      settingName(structure, reading.setting),
      labels(reading.red),
      labels(reading.black),
      shown(reading.value),
      evidenceWords(evidence),
      STANDING_WORDS[standing] || 'counts',
      meter?.name ?? '',
    ]),
  ];
}

/** Every wire, its head first. */
export function wireRows({ log, structure }: SwitchMap): string[][] {
  return [
    ['tag', 'colour', 'size', 'ends as', 'terminal', 'goes to'],
    ...recordsOf(log, 'wire-tagged').map(({ tag, color, size, termination, terminal, goesTo }) => [
      tag,
      color,
      size,
      termination ? TERMINATION_WORDS[termination] : '',
      terminal ? terminalName(structure, terminal) : '',
      goesTo,
    ]),
  ];
}
