/** What table grid says. */
export const TABLE_GRID_TEXT = {
  contact: 'Contact',
  worstLeadsOff: 'highest, leads subtracted',
  pole: 'Pole ',
  common: 'common ',
  movingContact: 'Moving contact ',
  lookAgain: 'Look again',
  at: (label: string | number, settingName: string | number) => `${label} at ${settingName}`,
  from: 'from ',
  springsBack: 'springs back',
};
