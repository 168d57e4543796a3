/** What offer form says. */
export const OFFER_FORM_TEXT = {
  aNewOffer: 'A new offer',
  seller: 'Seller',
  whereALink: 'Where, a link',
  price: 'Price',
  isNotAPriceA: '” is not a price: a number such as 12 or 12.50.',
  isNotALinkIt: '” isn’t a link: a link begins with http:// or https://.',
  addTheOffer: 'Add the offer',
  states: 'States',
  clear: 'Clear',
  itStates: 'It states',
  whatItStates: 'What it states',
  asItIsStated: 'As it is stated',
  takeThat: 'Use that',
};
