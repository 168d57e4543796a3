/** What sources asked says. */
export const SOURCES_ASKED_TEXT = {
  whatTheSourcesShare: 'What the sources share',
  untilYouSayIt: 'Until you say it, what joins them is not known to be safe.',
};
