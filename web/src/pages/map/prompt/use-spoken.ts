import type { TapeLine } from '@which-way/core/sense';
import { useEffect, useRef } from 'react';
import { useHandsFree } from '../../../parts/hands/hands-free.js';
import { promptWords } from '@which-way/words/probing/prompt';
import { play, say, type Cue } from '../../../parts/hands/sounds.js';
import type { Probing } from '../probing/use-probing.js';
import { terminalList, terminalName } from '@which-way/words/terminals';

/** Tells by ear what an answer came to and what is asked next, where that is switched on. */
export function useSpoken(probing: Probing): void {
  const { sounds, speech } = useHandsFree();
  const { map, task } = probing;
  const heard = useRef(map);
  const words = task && probing.open ? promptWords(probing, null) : null;
  const asked = words ? [words.turn, words.big].filter(Boolean).join('. ') : '';
  const said = useRef('');
  const { earDesk } = probing;
  const { structure } = map;
  useEffect(() => {
    earDesk.onHeard((lug) => speech && lug !== null && say(terminalName(structure, lug)));
  }, [earDesk, speech, structure]);
  useEffect(() => {
    const before = heard.current;
    heard.current = map;
    if (before === map) return;
    const fresh = map.tape.slice(before.tape.length);
    const cue = cueOf(probing, before, fresh);
    // The next prompt is painted first.
    if (sounds && cue) setTimeout(play, 0, cue);
    if (speech && fresh.length > 0) said.current = readBack(probing, fresh);
  }, [map, probing, sounds, speech]);
  useEffect(() => {
    if (!speech || asked === '') return;
    const back = said.current;
    said.current = '';
    say(back === '' ? asked : `${back}. ${asked}`);
  }, [asked, speech]);
}

function cueOf({ map }: Probing, before: Probing['map'], fresh: readonly TapeLine[]): Cue | null {
  const contradictions = (of: Probing['map']) =>
    [...of.settings.values()].reduce((sum, { settled }) => sum + settled.contradictions.length, 0);
  if (contradictions(map) > contradictions(before)) return 'contradiction';
  if (map.complete && !before.complete) return 'done';
  if (fresh.length === 0) return null;
  if (fresh.some(({ evidence }) => evidence.because === 'middle' || evidence.because === 'unsteady'))
    return 'look-again';
  return fresh.some(({ evidence }) => evidence.says === 'joins') ? 'joined' : 'none';
}

/** 'Seven to ten, closed': what was just answered. */
function readBack({ map }: Probing, fresh: readonly TapeLine[]): string {
  const closed = fresh.filter(({ evidence }) => evidence.says === 'joins');
  if (closed.length === 0) return fresh.length === 1 ? 'open' : 'none';
  return closed
    .map(
      ({ reading }) =>
        `${terminalList(map.structure, reading.red)} to ${terminalList(map.structure, reading.black)}, closed`,
    )
    .join('; ');
}
