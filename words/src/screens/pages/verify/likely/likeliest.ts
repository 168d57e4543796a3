/** What likeliest says. */
export const LIKELIEST_TEXT = {
  lookingForWhatWouldExplain: 'Looking for an explanation…',
  likeliest: 'Likeliest',
  seenItDoesNotSpring: 'Seen: it does not spring back where it should. A spring is lost or weak.',
  or: 'or: ',
  orOneOf: 'or one of ',
  moreThatShowTheSame: ' more that show the same.',
  itExplainsEveryDifference: 'It explains every difference.',
  itLeaves: (value: string | number, join: string | number, value2: string | number) =>
    `It leaves ${value}: ${join}${value2}.`,
  repeatIt: 'Repeat it on the Map',
  read: 'Read ',
  at: ' at',
  itTellsMost: ': it tells most',
};
