import { lastCheckedMeter } from '@which-way/core/log';
import { CheckLine } from '../../shared/controls/check-line.js';
import { KeyCap } from '../keys/panel-keys.js';
import type { Probing } from '../probing/use-probing.js';
import { TypedNumber } from './typed-number.js';

const LOWEST_RANGE = 200;
const readRange = (text: string): number | string => {
  const typed = text.trim().replace(',', '.');
  return /^\d{1,8}(\.\d+)?$/.test(typed) && Number(typed) > 0
    ? Number(typed)
    : `“${text}” is no range. Type its ohms, such as 200 or 2000.`;
};

/** A meter that ranges by itself, or one that is set by hand: then OL only says 'more than that'. */
export function MeterRange({ probing: { map, act } }: { probing: Probing }) {
  const { rangeOhms } = lastCheckedMeter(map.log);
  return (
    <div className="mt-1">
      <CheckLine
        shortcut="r"
        checked={rangeOhms !== null}
        onChange={(byHand) => act({ do: 'range', rangeOhms: byHand ? LOWEST_RANGE : null })}
      >
        The meter’s range is set by hand <KeyCap of="r" />
      </CheckLine>
      {rangeOhms !== null && (
        <>
          <TypedNumber
            label="Up to so many ohms"
            value={rangeOhms}
            read={readRange}
            onGiven={(given) => act({ do: 'range', rangeOhms: given })}
          />
          <p className="text-small text-quiet">
            OL says ‘above {rangeOhms} ohm’: as silent as a beeper, and nothing about insulation. Leaks want a
            range of megohms.
          </p>
        </>
      )}
    </div>
  );
}
