/** The field for ohms where there are no keys. */
export const OHMS_BY_TOUCH_TEXT = {
  form: 'Enter a value by touch',
  to: 'For',
  ohms: 'Ohms',
  enter: 'Enter',
  over: 'OL',
  recent: 'Recent values',
};
