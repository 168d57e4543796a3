import { RUN_CHART_TEXT } from '@which-way/words/screens/pages/verify/charts/run-chart';
import type { SwitchMap } from '@which-way/core/continuity';
import type { RepeatRun } from '@which-way/core/log';
import { contactLimitOf, limitOhms } from '@which-way/core/verify';
import { Chart } from 'react-chartjs-2';
import { chartColors, limitLine } from './chart-theme.js';
import './registered.js';

/** A run, cycle by cycle: ohms against the limit where they were read, and where it missed or stuck. */
export default function RunChart({ run, map }: { run: RepeatRun; map: SwitchMap }) {
  const colors = chartColors();
  const cycles = Array.from({ length: run.cycles }, (_, at) => at + 1);
  const missed = new Set(run.misses);
  const closed = run.ohms.values();
  // Ohms are of the cycles that made, in their order.
  const ohms = cycles.map((cycle) => (missed.has(cycle) ? null : (closed.next().value ?? null)));
  const limit = limitOhms(contactLimitOf(map));
  const top = Math.max(limit ?? 1, ...run.ohms, 0.1) * 1.2;
  const marks = (list: readonly number[]) => {
    const at = new Set(list);
    return cycles.map((cycle) => (at.has(cycle) ? top : null));
  };
  const points = (
    label: string,
    list: readonly number[],
    pointStyle: 'crossRot' | 'triangle',
    color: string,
  ) => ({
    type: 'line' as const,
    label,
    data: marks(list),
    showLine: false,
    pointStyle,
    pointRadius: 6,
    borderColor: color,
    backgroundColor: color,
  });
  const words = RUN_CHART_TEXT.counted(run.misses.length, run.sticks.length, run.cycles);
  return (
    <figure className="mt-1 h-40" aria-label={words}>
      <Chart
        type="line"
        role="img"
        aria-label={words}
        data={{
          labels: cycles,
          datasets: [
            ...(run.ohms.length > 0
              ? [
                  {
                    type: 'line' as const,
                    label: 'ohm',
                    data: ohms,
                    spanGaps: false,
                    borderColor: colors.teal,
                    backgroundColor: colors.teal,
                    pointRadius: 2,
                    borderWidth: 2,
                  },
                ]
              : []),
            ...(limit !== null && run.ohms.length > 0
              ? [limitLine('limit', limit, run.cycles, colors.brick)]
              : []),
            points('missed', run.misses, 'crossRot', colors.ink),
            points('stuck', run.sticks, 'triangle', colors.amber),
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          color: colors.ink,
          scales: {
            x: {
              title: { display: true, text: 'cycle', color: colors.quiet },
              ticks: { color: colors.quiet },
            },
            y: { min: 0, max: top * 1.05, ticks: { color: colors.quiet }, grid: { color: colors.line } },
          },
          plugins: { legend: { position: 'right', labels: { color: colors.ink, usePointStyle: true } } },
        }}
      />
    </figure>
  );
}
