import { plainText } from '@which-way/core/schema';
import type { Picture, Shape } from './shape.js';

/** Colours by their names, as a file needs them: there is no style sheet beside it. */
export type Palette = Readonly<Record<string, string>>;

/** The light theme, for pictures and for paper. */
export const PAPER: Palette = {
  ink: '#14201c',
  quiet: '#4d5d57',
  paper: '#edf1ee',
  sheet: '#ffffff',
  line: '#8a938f',
  teal: '#0b6e66',
  'on-teal': '#ffffff',
  brass: '#a9740c',
  amber: '#e0a22c',
  brick: '#97351a',
  'lead-red': '#c22426',
  'strand-1': '#0069a8',
  'strand-2': '#7643a0',
  'strand-3': '#86551a',
  'strand-4': '#a03a77',
  'strand-5': '#3f5fb5',
  'strand-6': '#5d6b1f',
  'font-mono': 'Atkinson Hyperlegible Mono, monospace',
};

/** Names that SVG writes as they are, where others get dashes. */
const AS_THEY_ARE = new Set(['viewBox', 'preserveAspectRatio', 'clipPathUnits']);
/** What serves a screen alone. */
const FOR_SCREENS = new Set(['className', 'tabIndex', 'role', 'dataTestid', 'dataRole', 'pointerEvents']);

const escaped = (text: string): string =>
  plainText(text).replace(/[&<>"]/g, (character) => `&#${character.charCodeAt(0)};`);

const nameOf = (attribute: string): string =>
  AS_THEY_ARE.has(attribute)
    ? attribute
    : attribute.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/**
 * A picture as the text of an SVG file, with the colours of a palette.
 * @throws Error for a colour that the palette does not have.
 * @example svgText(switchPicture(…), PAPER)
 */
export function svgText({ width, height, shapes, caption }: Picture, palette: Palette = PAPER): string {
  const colored = (value: string | number): string =>
    String(value).replace(/var\(--([a-z0-9-]+)\)/g, (_, name: string) => {
      const color = palette[name];
      if (color === undefined) throw new Error(`the palette has no ${name}`);
      return color;
    });
  const write = (shape: Shape | string): string => {
    if (typeof shape === 'string') return escaped(shape);
    const inner = shape.children.map(write).join('');
    if (shape.tag === '') return inner;
    const attributes = Object.entries(shape.attributes)
      .filter(([name]) => !FOR_SCREENS.has(name) && !name.startsWith('aria') && !name.startsWith('data-'))
      .map(([name, value]) => ` ${nameOf(name)}="${escaped(colored(value))}"`)
      .join('');
    return `<${shape.tag}${attributes}>${inner}</${shape.tag}>`;
  };
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"><title>${escaped(caption)}</title>${shapes.map(write).join('')}</svg>`;
}
