import { act, cleanup, fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { unitsHere } from '../../../parts/units/units.js';
import { aSwitch } from '../../../testing/a-switch.js';
import { renderJob } from '../../../testing/rendered-job.js';
import { until } from '../../../testing/until.js';
import { FitPage } from './fit-page.js';

describe('what must fit, in the units of this device', () => {
  afterEach(() => {
    cleanup();
    unitsHere.setState({ units: 'metric' });
  });

  it('is never read in other units than it was typed in, whichever are chosen later', async () => {
    const job = await renderJob(<FitPage />, [aSwitch(2, 2).described]);
    const write = (label: RegExp, text: string) => {
      const field = screen.getByLabelText(label);
      fireEvent.change(field, { target: { value: text } });
      fireEvent.blur(field);
    };
    const kept = () => job.written('measured').map(({ fact }) => `${fact.field} ${fact.value}`);
    write(/^Shaft, from/, '40');
    act(() => unitsHere.setState({ units: 'inch' }));
    expect(screen.getByLabelText(/^Shaft, from.*in in/)).toHaveProperty('value', '40 mm');
    write(/^Cut-out/, '7/8 x 1 3/16');
    write(/^Depth/, '30 mm');
    // No length: it stands as it is.
    write(/^Terminations/, '4.8 mm tabs, 2');
    await until(() =>
      expect(kept()).toEqual([
        'shaft-length 40',
        'cut-out 7/8 x 1 3/16 in',
        'depth 30 mm',
        'terminations 4.8 mm tabs, 2',
      ]),
    );
    act(() => unitsHere.setState({ units: 'metric' }));
    expect(screen.getByLabelText(/^Cut-out/)).toHaveProperty('value', '7/8 x 1 3/16 in');
    expect(screen.getByLabelText(/^Shaft, from/)).toHaveProperty('value', '40');
    expect(job.written('measured').every(({ fact }) => fact.how === 'measured')).toBe(true);
  });
});
