/** What hands free says. */
export const HANDS_FREE_TEXT = {
  isNeededForTypingOr: (value: string | number) => `“${value}” is already used for typing or answering.`,
};
