/** What nearest lugs says. */
export const NEAREST_LUGS_TEXT = {
  whichLug: 'Which terminal?',
};
