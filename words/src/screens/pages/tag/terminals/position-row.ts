/** What position row says. */
export const POSITION_ROW_TEXT = {
  showPosition: (value: string | number) => `Show position ${value}`,
  whatTheFrontSaysAt: (value: string | number) => `What the front says at position ${value}`,
  noName: 'no name',
  positionRestsOrSpringsBack: (value: string | number) => `Position ${value} rests or springs back`,
  keysThatAreDownOr: 'Keys that are down: 2, or 1 3 for two at once, 0 for none',
  degreesClockwiseFromTheTop: 'Degrees clockwise from the top, from the front',
  keysDownAtPosition: (value: string | number) => `Keys down at position ${value}`,
  degreesAtPosition: (value: string | number) => `Degrees at position ${value}`,
  key: (value: string | number) => `key ${value}`,
};
