/** What read the same says. */
export const READ_THE_SAME_TEXT = {
  readsAsDoes: (again: string | number, first: string | number) => `${again} reads as ${first} does`,
  everyPairIsTheSame:
    'Every pair reads the same. It may be one position reached twice, or two that do the same.',
  backAtTheStartThey: 'Back at the start: they are one',
  theyAreOnePutThe: 'They are one: put the readings together',
  theyAreTwo: 'They are two',
};
