import { sprungSettings } from './in-turn.js';
import type { SwitchMap } from '../continuity/index.js';
import { oddAnswersOf, oddKey, type OddAbout, type OddAnswer } from '../log/index.js';
import type { SettingId, TerminalId } from '../switch/index.js';
import { identify, requiredPattern } from './identity.js';
import { oddities, type Odd } from './odd.js';

/** Something odd, by ids, with what was answered. */
export interface OddQuestion {
  about: OddAbout;
  odd: Odd;
  answer: OddAnswer | null;
}

/**
 * What is odd about a switch that is known in full, each with its answer: asked once, calmly. Nothing is asked while a fact is
 * missing, since what is missing looks odd by itself.
 */
export function oddQuestions(map: SwitchMap): OddQuestion[] {
  const identity = identify(map);
  if (identity.unknown.length > 0 || identity.disputed > 0 || identity.settings === 0) return [];
  const { structure } = map;
  const required = structure.settings.filter(({ need }) => need === 'required');
  const sprung = sprungSettings(map);
  const answers = oddAnswersOf(map.log);
  const odd = oddities(requiredPattern(map), {
    contacts: map.contacts,
    rests: required.map(({ id }) => !sprung.has(id)),
    mayBeFree: new Set(structure.terminals.flatMap(({ role }, place) => (role === 'contact' ? [] : [place]))),
  });
  return odd.map((one) => {
    const settings = 'settings' in one ? one.settings : 'setting' in one ? [one.setting] : [];
    const about: OddAbout = {
      code: one.code,
      terminals: ('terminals' in one ? one.terminals : []).map(
        (place) => structure.terminals[place]?.id as TerminalId,
      ),
      settings: settings.map((place) => required[place]?.id as SettingId),
    };
    return { about, odd: one, answer: answers.get(oddKey(about)) ?? null };
  });
}
