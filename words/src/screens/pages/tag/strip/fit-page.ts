/** What fit page says. */
export const FIT_PAGE_TEXT = {
  fromTheMarking: 'From the marking',
  whatMustFit: 'What must fit',
  allOfItIsKnown: 'Everything is known.',
  ofAreUnknownWhatIs: (unknown: string | number, length: string | number) =>
    `${unknown} of ${length} are unknown. What is unknown becomes a question to the seller.`,
  howIsKnown: (label: string | number) => `How ${label} is known`,
};
