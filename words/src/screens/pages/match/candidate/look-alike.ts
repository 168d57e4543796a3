/** What look alike says. */
export const LOOK_ALIKE_TEXT = {
  isOnTheBenchAs: (title: string | number) => `“${title}” is on the bench as a job of its own.`,
  noJobWasMade: (message: string | number) => `No job was made. ${message}`,
  beforeItIsFitted: 'Before it is fitted',
  aPartThatLooksThe:
    'A part that looks the same may be wired differently, and an entry may be wrong: measure the new part, with what the library says of it as what it should do.',
  measureTheNewPart: 'Measure the new part',
};
