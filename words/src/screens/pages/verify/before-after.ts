/** What before after says. */
export const BEFORE_AFTER_TEXT = {
  beforeAndAfter: 'Before and after',
  contact: 'Contact',
  before: 'Before',
  after: 'After',
  at: ' at',
};
