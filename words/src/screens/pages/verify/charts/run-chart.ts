import { plural } from '../../../../plural.js';

/** What the chart of a contact that was worked says. */
export const RUN_CHART_TEXT = {
  counted: (misses: number, sticks: number, cycles: number) =>
    `${plural(misses, 'miss', 'misses')} and ${plural(sticks, 'stick')} in ${plural(cycles, 'cycle')}`,
};
