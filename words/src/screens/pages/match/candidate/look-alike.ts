/** What look alike says. */
export const LOOK_ALIKE_TEXT = {
  titleOf: (name: string, job: number) => `${name}, for job ${job}`,
  isOnTheBenchAs: (title: string | number) => `“${title}” is on the bench as a job of its own.`,
  noJobWasMade: (message: string | number) => `No job was made. ${message}`,
  beforeItIsFitted: 'Before it is fitted',
  aPartThatLooksThe:
    'A part that looks the same may be wired differently, and an entry may be wrong. Measure the new part and compare it with what the library says.',
  measureTheNewPart: 'Measure the new part',
};
