import type { Kind, KindCode, PoleKind, WholeCode } from '@which-way/core/kinds';

const count = (many: number, one: string) => `${many} ${one}${many === 1 ? '' : 's'}`;

/** What contacts that make sense together are called; `ways`: the number that makes its size. */
export const WHOLE_WORDS: Record<WholeCode, (ways: number) => string> = {
  reversing: () => 'reversing switch',
  'reversing-brake': () => 'reversing switch, braked between',
  'reversing-three-phase': () => 'reversing switch, three-phase',
  'reversing-single-phase': () => 'reversing switch for a motor with a start winding',
  'drum-controller': (ways) => `reversing controller, ${ways} steps each way`,
  'star-delta': () => 'star-delta switch',
  'star-delta-contacts': () => 'star-delta switch, single contacts',
  'star-delta-reversing': () => 'star-delta switch, reversing',
  'pole-changing': () => 'pole-changing switch, two speeds',
  'three-heat': () => 'three-heat switch, series and parallel',
  'four-heat': () => 'four-heat switch for two unlike elements',
  'three-elements': () => 'heat switch for three elements, series and parallel',
  'oven-programme': () => 'oven programme selector',
  'energy-regulator': () => 'two-pole on-off with a pilot contact',
  'series-parallel': () => 'series-parallel switch',
  ignition: () => 'ignition switch, accessories off while it starts',
  'engine-key': () => 'engine key switch, magneto grounded at off',
  'turn-signal-stop': () => 'turn signal switch with the stop lamps through it',
  window: () => 'motor reversing switch, both leads grounded at rest',
  'shorted-idle': (ways) => `${ways}-way selector, idle inputs grounded`,
  'voltmeter-lines': () => 'voltmeter selector, line to line',
  'voltmeter-all': () => 'voltmeter selector, line to line and to neutral',
  ammeter: () => 'ammeter selector, idle transformers shorted',
  joystick: () => 'joystick, eight ways',
  'joystick-contacts': () => 'joystick, eight ways, four contacts',
};

/** What one pole of a kind is called, without how many there are. */
const POLE_WORDS: Record<Exclude<KindCode, WholeCode>, string> = {
  'on-off': 'on-off',
  changeover: 'changeover',
  'changeover-centre-off': 'changeover, centre off',
  selector: 'selector',
  'selector-off': 'selector with off',
  bridging: 'selector, both between two ways',
  progressive: 'progressive',
  'progressive-from-first': 'progressive, first way always closed',
  'one-missing': 'selector, all but one',
  repeating: 'selector, repeating',
  intermediate: 'intermediate (crossing) switch',
  'crossing-off': 'reversing, off between',
  binary: 'binary code',
  gray: 'Gray code',
  complement: 'complement of binary',
  'both-outputs': 'binary code and its complement',
  quadrature: 'two-bit quadrature',
};

const isWholeCode = (code: KindCode): code is WholeCode => code in WHOLE_WORDS;

/** What a switch of a kind is called. */
export function kindWords(kind: KindCode, poles: number, ways: number): string {
  if (isWholeCode(kind)) return WHOLE_WORDS[kind](ways);
  return `${poles}-pole ${ways > 2 ? `${ways}-way ` : ''}${POLE_WORDS[kind]}`;
}

/** What kinds are called in a list: those of one name by their positions too, in turn, and by number where those are alike as well. */
export function kindTexts(kinds: readonly Kind[]): string[] {
  const plain = kinds.map(({ kind, poles, ways }) => kindWords(kind, poles, ways));
  const told = kinds.map(({ positions = [] }, at) => {
    const name = plain[at] ?? '';
    return plain.indexOf(name) === plain.lastIndexOf(name) ? name : `${name}: ${positions.join(', ')}`;
  });
  return told.map((text, at) => {
    const before = told.slice(0, at).filter((one) => one === text).length;
    return before > 0 ? `${text} (${before + 1})` : text;
  });
}

const CODE_WORDS: Record<Extract<PoleKind, { kind: 'coded' }>['code'], string> = {
  binary: 'binary',
  gray: 'Gray code',
  complement: 'complement of binary',
  'both-outputs': 'binary with its complement',
  quadrature: 'quadrature',
};
/** Two bits are read as what they join. */
const TWO_BITS: Partial<Record<keyof typeof CODE_WORDS, string>> = {
  binary: 'two-way (off, one, the other, both)',
  gray: 'two-way (off, one, both, the other)',
  complement: 'two-way (both, one, the other, off)',
};

function codedWords({ code, bits }: Extract<PoleKind, { kind: 'coded' }>, settings: number): string {
  const two = bits === 2 ? TWO_BITS[code] : undefined;
  if (two) return two;
  const name = code === 'binary' && settings === 10 ? 'BCD' : code === 'complement' && settings === 10 ? 'complement of BCD' : CODE_WORDS[code];
  const hex = code === 'binary' && settings === 16 ? ' (hexadecimal)' : '';
  return `coded output, ${name}${hex}, ${count(bits, 'bit')}`;
} // prettier-ignore

/** What one pole is, without how many there are. */
export function poleWords(kind: PoleKind, settings: number): string {
  switch (kind.kind) {
    case 'contact':
      return 'on-off';
    case 'changeover':
      return kind.centreOff ? 'changeover, centre off' : 'changeover';
    case 'selector':
      return `${kind.ways}-way selector${kind.offs > 0 ? ' with off' : ''}`;
    case 'bridging':
      return `${kind.ways}-way selector, both between two ways`;
    case 'progressive':
      return `progressive, ${kind.ways} ways${kind.fromFirst ? ', the first always closed' : ''}`;
    case 'one-missing':
      return `all but one, ${kind.ways} ways`;
    case 'repeating':
      return kind.ways === 2 ? 'changeover, to and fro' : `${kind.ways}-way selector, repeating`;
    case 'coded':
      return codedWords(kind, settings);
    case 'crossing':
      return kind.off ? 'reversing, off between' : 'intermediate (crossing) switch';
    case 'joined-always':
      return 'joined in every position';
    case 'cam':
      return 'switch with an unusual pattern';
  }
}
