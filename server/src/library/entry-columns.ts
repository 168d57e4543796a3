import { compilePart, MAKING_VERSION, ratingsOf } from '@which-way/core/match';
import { patternOfKnown } from '@which-way/core/partition';
import { sameMakersNumber, type KnownSwitch } from '@which-way/core/switch';

/** What an entry is found by, worked out of it: written beside the whole entry, never instead of it. */
export function derivedColumns(entry: KnownSwitch): Record<string, string | number | null> {
  const { facts = {}, positions } = entry;
  const ratings = ratingsOf(facts);
  const most = (values: readonly (number | null)[]): number | null => {
    const said = values.filter((value): value is number => value !== null);
    return said.length > 0 ? Math.max(...said) : null;
  };
  const amps = (loads: readonly string[]) =>
    most(ratings.filter(({ load }) => loads.includes(load)).map((rating) => rating.amps));
  const { making, order } = compilePart(patternOfKnown(entry));
  const on = (supply: 'ac' | 'dc') =>
    most(
      ratings
        .filter((rating) => rating.supply === supply || rating.supply === 'ac-dc')
        .map(({ volts }) => volts),
    );
  const yesNo = (value: boolean | undefined) => (value === undefined ? null : Number(value));
  return {
    number: facts.number ?? null,
    same: sameMakersNumber(entry),
    amps: amps(['resistive', 'not-said']),
    motor_amps: amps(['motor', 'inductive']),
    volts_ac: on('ac'),
    volts_dc: on('dc'),
    price: facts.price ?? null,
    in_stock: yesNo(facts.inStock),
    disconnection: facts.disconnection ?? null,
    springs: Number(positions.some(({ rests }) => rests === 'momentary')),
    making,
    making_order: JSON.stringify(order),
    making_version: MAKING_VERSION,
  };
}
