/** What read csv says. */
export const READ_CSV_TEXT = {
  cannotBeReadIsIt: 'cannot be read. Is it still there?',
  isNotInUtfSo: 'is not in UTF-8, so letters would be lost. Save it as “CSV UTF-8”.',
  hasAQuoteThatIs: 'has a quote that is not closed, and rows would be lost in it. Close it in the file.',
};
