import { lastCheckedMeter } from '@which-way/core/log';
import { CheckLine } from '../../../controls/fields/check-line.js';
import { KeyCap } from '../keys/panel-keys.js';
import type { Probing } from '../probing/use-probing.js';
import { TypedNumber } from './typed-number.js';
import { METER_RANGE_TEXT } from '@which-way/words/screens/pages/map/panels/meter-range';

const LOWEST_RANGE = 200;
const readRange = (text: string): number | string => {
  const typed = text.trim().replace(',', '.');
  return /^\d{1,8}(\.\d+)?$/.test(typed) && Number(typed) > 0
    ? Number(typed)
    : METER_RANGE_TEXT.isNoRangeTypeIts(text);
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
        {METER_RANGE_TEXT.theMetersRangeIsSet}
        <KeyCap of="r" />
      </CheckLine>
      {rangeOhms !== null && (
        <>
          <TypedNumber
            label={METER_RANGE_TEXT.upToSoManyOhms}
            value={rangeOhms}
            read={readRange}
            onGiven={(given) => act({ do: 'range', rangeOhms: given })}
          />
          <p className="text-small text-quiet">
            {METER_RANGE_TEXT.olSaysAbove}
            {rangeOhms}
            {METER_RANGE_TEXT.ohmAsSilentAsA}
          </p>
        </>
      )}
    </div>
  );
}
