/** What volts field says. */
export const VOLTS_FIELD_TEXT = {
  voltsSuchAsOr: 'Volts such as 0,4 or -38.',
};
