/** What between panel says. */
export const BETWEEN_PANEL_TEXT = {
  betweenPositions: 'Between positions: ',
  notTried: 'not tried',
  ofStepsTried: (tried: string | number, length: string | number) => `${tried} of ${length} steps tried`,
  bothMadeAtOnce: (name: string | number) => `${name}: both made at once`,
  seen: 'Seen',
  notSeenInOneMore: (name: string | number) => `${name}: not seen in one more pass`,
  oneMorePassNotSeen: 'One more pass, not seen',
  takeBack: (name: string | number) => `${name}: take back`,
  takeBack2: 'Remove',
};
