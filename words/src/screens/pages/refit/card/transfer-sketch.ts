/** What the transfer sketch says. */
export const TRANSFER_SKETCH_TEXT = {
  asItWas: 'As it was',
  everyWire: 'Every wire, from its old lug to its new one. A dashed line is a junction to add.',
};
