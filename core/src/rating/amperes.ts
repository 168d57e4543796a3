/** What a rated current is for. A bare current on an appliance switch is for a resistive load. */
export type RatedLoad =
  'resistive' | 'motor' | 'lamp' | 'discharge-lamp' | 'capacitive-peak' | 'inductive' | 'not-said';

export type RatedSupply = 'ac' | 'dc' | 'ac-dc';

/** One rated current, with the voltage and supply that it is stated for; null where the marking does not say. */
export interface RatedCurrent {
  amperes: number;
  load: RatedLoad;
  volts: number | null;
  supply: RatedSupply | null;
}

/** A motor rating in horsepower. */
export interface RatedPower {
  horsepower: number;
  volts: number | null;
  supply: RatedSupply | null;
}
