/** The colours of a chart, as the page has them now. */
export interface ChartColors {
  ink: string;
  quiet: string;
  line: string;
  sheet: string;
  teal: string;
  brick: string;
  amber: string;
}

/** Colours are read from the page, since a canvas knows no style sheet. */
export function chartColors(): ChartColors {
  const style = getComputedStyle(document.documentElement);
  const color = (name: string) => style.getPropertyValue(`--${name}`).trim() || '#888';
  return {
    ink: color('ink'),
    quiet: color('quiet'),
    line: color('line'),
    sheet: color('sheet'),
    teal: color('teal'),
    brick: color('brick'),
    amber: color('amber'),
  };
}

/** A dashed line at a limit, as a data set of a chart: the same value for every label. */
export const limitLine = (label: string, ohms: number, many: number, color: string) => ({
  type: 'line' as const,
  label,
  data: new Array<number>(many).fill(ohms),
  borderColor: color,
  borderDash: [6, 4],
  borderWidth: 2,
  pointRadius: 0,
});
