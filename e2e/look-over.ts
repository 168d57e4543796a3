/**
 * What a person would stumble over on a page as it stands, in words. Each is run in the page by itself and reads what is
 * painted: nothing of it needs the application.
 */

/** Text in a drawing under 11 px. */
function smallText(): string[] {
  return [...document.querySelectorAll<SVGTextElement>('svg text')].flatMap((text) => {
    const matrix = text.getScreenCTM();
    const words = (text.textContent ?? '').trim();
    if (!matrix || words === '' || text.getBoundingClientRect().width === 0) return [];
    const px = Number.parseFloat(getComputedStyle(text).fontSize) * Math.hypot(matrix.a, matrix.b);
    return px < 10.95 ? [`“${words}” in a drawing: ${px.toFixed(1)} px`] : [];
  });
}

/** A word broken inside, or a text cut with a sign of it. */
function brokenWords(): string[] {
  const found: string[] = [];
  const isSeen = (one: Element) =>
    one.getBoundingClientRect().width > 0 && one.checkVisibility({ visibilityProperty: true });
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node; node = texts.nextNode()) {
    const parent = node.parentElement;
    if (!parent || parent.closest('svg, script, style, .sr-only') || !isSeen(parent)) continue;
    // After a hyphen, a dash, a slash or a plus a line may end.
    for (const { 0: word, index } of (node.textContent ?? '').matchAll(/[^\s\-–—/+·.,:]+/gu)) {
      const range = document.createRange();
      range.setStart(node, index);
      range.setEnd(node, index + word.length);
      const lines = new Set([...range.getClientRects()].map(({ top }) => Math.round(top / 4)));
      if (lines.size > 1) found.push(`“${word}” is broken inside`);
    }
  }
  for (const one of document.querySelectorAll<HTMLElement>('body *')) {
    const { textOverflow, webkitLineClamp, fontSize } = getComputedStyle(one);
    const cut =
      (textOverflow === 'ellipsis' && one.scrollWidth > one.clientWidth + 1) ||
      (webkitLineClamp !== 'none' && one.scrollHeight > one.clientHeight + Number.parseFloat(fontSize) / 2);
    const words = (one.textContent ?? '').trim();
    if (cut && words !== '' && isSeen(one)) found.push(`“${words.slice(0, 60)}” is cut`);
  }
  return found;
}

/** What an empty field would like to be told, cut by its edge. */
function cutHints(): string[] {
  const ruler = document.createElement('canvas').getContext('2d');
  if (!ruler) throw new Error('no canvas');
  return [...document.querySelectorAll<HTMLInputElement>('input[placeholder]')].flatMap((field) => {
    if (field.value !== '' || !field.checkVisibility()) return [];
    const { fontWeight, fontSize, fontFamily, paddingLeft, paddingRight } = getComputedStyle(field);
    ruler.font = `${fontWeight} ${fontSize} ${fontFamily}`;
    const room = field.clientWidth - Number.parseFloat(paddingLeft) - Number.parseFloat(paddingRight);
    const isCut = room > 0 && ruler.measureText(field.placeholder).width > room + 1;
    return isCut ? [`“${field.placeholder}” is cut by its field`] : [];
  });
}

/** A control that stands out from its page by less than 3 to 1 (WCAG 2.2, 1.4.11; contrast as defined there). */
function faintControls(): string[] {
  const canvas = document.createElement('canvas').getContext('2d', { willReadFrequently: true });
  if (!canvas) throw new Error('no canvas');
  const over = (color: string, under: number[]): number[] => {
    for (const style of [`rgb(${under.join(' ')})`, color]) {
      canvas.fillStyle = style;
      canvas.fillRect(0, 0, 1, 1);
    }
    return [...canvas.getImageData(0, 0, 1, 1).data].slice(0, 3);
  };
  const light = (color: number[]) => {
    const [r = 0, g = 0, b = 0] = color.map((channel) =>
      channel <= 10.31 ? channel / 255 / 12.92 : ((channel / 255 + 0.055) / 1.055) ** 2.4,
    );
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  const contrast = (one: number[], other: number[]) => {
    const [low = 0, high = 0] = [light(one), light(other)].sort((a, b) => a - b);
    return (high + 0.05) / (low + 0.05);
  };
  const behind = (one: Element | null): number[] =>
    one ? over(getComputedStyle(one).backgroundColor, behind(one.parentElement)) : [255, 255, 255];
  /** A box to tick stands within the line that is pressed. */
  const edges = (one: Element, page: number[]) =>
    [one, ...one.querySelectorAll('*')].flatMap((part) => {
      const { borderTopWidth, borderTopColor, borderBottomWidth, borderBottomColor } = getComputedStyle(part);
      return [
        Number.parseFloat(borderTopWidth) > 0 ? contrast(over(borderTopColor, page), page) : 1,
        Number.parseFloat(borderBottomWidth) > 0 ? contrast(over(borderBottomColor, page), page) : 1,
      ];
    });
  const controls =
    'button, input:not([type=hidden], [type=file]), select, textarea, [role=checkbox], [role=combobox]';
  return [...document.querySelectorAll<HTMLElement>(controls)].flatMap((one) => {
    // A cell of a table is its content, parted from the next by a line; what is at rest needs no contrast.
    if (one.matches(':disabled, [aria-disabled=true], table *, svg *')) return [];
    if (one.getBoundingClientRect().width < 4 || getComputedStyle(one).opacity === '0') return [];
    if (!one.checkVisibility({ visibilityProperty: true })) return [];
    const [page, ground] = [behind(one.parentElement), behind(one)];
    const words = (one.textContent ?? '').trim();
    // What is named by its own words or picture stands out by them; an empty box only by its edge.
    const named =
      !one.matches('input, select, textarea') &&
      (one.querySelector('svg, img') || (words !== '' && !one.matches('[role=checkbox]')));
    const best = Math.max(
      contrast(ground, page),
      ...edges(one, page),
      named ? contrast(over(getComputedStyle(one).color, ground), ground) : 1,
    );
    return best < 3
      ? [`${one.getAttribute('aria-label') ?? (words || one.tagName)}: ${best.toFixed(1)} to 1`]
      : [];
  });
}

/** Nothing said, nothing to do or no verdict within the first screen. */
function outOfSight(): string[] {
  const isIn = (one: Element) => {
    const { top, bottom, height } = one.getBoundingClientRect();
    return height > 0 && top >= 0 && top < innerHeight && bottom > 0;
  };
  const inFirst = (what: string) => [...document.querySelectorAll(what)].some(isIn);
  const verdicts = [...document.querySelectorAll('[data-testid=verdict], [data-testid=prompt]')];
  return [
    inFirst('main :is(h1, h2, h3, p, summary, svg[role]):not(.sr-only)')
      ? ''
      : 'nothing is said within the first screen',
    inFirst('main :is(button, a, input), nav a') ? '' : 'nothing to do within the first screen',
    verdicts.every((one) => isIn(one) && one.getBoundingClientRect().bottom <= innerHeight)
      ? ''
      : 'the answer is cut off by the edge of the screen',
  ].filter((one) => one !== '');
}

/** More than four sizes of type on a page, drawings aside: they are as large as they are shown. */
function manySizes(): string[] {
  const first = new Map<string, string>();
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node; node = texts.nextNode()) {
    const [parent, words] = [node.parentElement, (node.textContent ?? '').trim()];
    if (!parent || words === '' || parent.closest('svg, script, style, .sr-only')) continue;
    if (!parent.checkVisibility({ visibilityProperty: true })) continue;
    const { fontSize } = getComputedStyle(parent);
    if (!first.has(fontSize)) first.set(fontSize, words.slice(0, 30));
  }
  const all = [...first].map(([size, words]) => `${size} (“${words}”)`);
  return all.length > 4 ? [`${all.length} sizes of type: ${all.join(', ')}`] : [];
}

/** A control that takes more than two taps: one that opens what it lies in, and its own. */
export function tooDeep(): string[] {
  const controls = 'a[href], button, input, select, textarea, [role=combobox], [tabindex="0"]';
  return [...document.querySelectorAll<HTMLElement>(controls)].flatMap((one) => {
    const shut: string[] = [];
    for (let within = one.parentElement; within; within = within.parentElement)
      if (within.matches('details:not([open])'))
        shut.push((within.querySelector('summary')?.textContent ?? '').trim().slice(0, 40));
    // What was opened over the page, a popover or a panel, was a tap.
    const taps = 1 + shut.length + (one.closest('[role=dialog], [role=menu]') ? 1 : 0);
    const words = one.getAttribute('aria-label') ?? (one.textContent ?? '').trim().slice(0, 40);
    return taps > 2 ? [`“${words}” takes ${taps} taps: ${shut.join(', in ')}`] : [];
  });
}

/** What each theme has of its own, and what both have alike. */
export const LOOKS = {
  light: [faintControls, smallText, brokenWords, cutHints, outOfSight, tooDeep, manySizes],
  dark: [faintControls],
};

/** How much a page asks to be taken in at load: words and controls within the first screen, without what is folded. */
export function firstScreen(): { words: number; controls: number } {
  const isIn = ({ top, bottom, left, right, width, height }: DOMRect) =>
    width > 0 && height > 0 && top < innerHeight && bottom > 0 && left < innerWidth && right > 0;
  const shows = (one: Element) =>
    one.checkVisibility({ visibilityProperty: true, opacityProperty: true }) && isClear(one);
  /** Not scrolled out of the panel that it is in. */
  const isClear = (one: Element): boolean => {
    const box = one.getBoundingClientRect();
    for (let panel = one.parentElement; panel; panel = panel.parentElement) {
      if (getComputedStyle(panel).overflowY === 'visible') continue;
      const frame = panel.getBoundingClientRect();
      if (box.top >= frame.bottom || box.bottom <= frame.top) return false;
    }
    return true;
  };
  let words = 0;
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node; node = texts.nextNode()) {
    const parent = node.parentElement;
    if (!parent || parent.closest('script, style, .sr-only') || !shows(parent)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    if (isIn(range.getBoundingClientRect()))
      words += (node.textContent ?? '').split(/\s+/).filter((one) => /[\p{L}\p{N}]/u.test(one)).length;
  }
  const controls = [
    ...document.querySelectorAll(
      'a[href], button:not(:disabled), input, select, textarea, summary, [tabindex="0"]',
    ),
  ].filter(
    (one) => (one as HTMLElement).tabIndex >= 0 && isIn(one.getBoundingClientRect()) && shows(one),
  ).length;
  return { words, controls };
}
