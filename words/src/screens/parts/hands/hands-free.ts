/** What hands free says. */
export const HANDS_FREE_TEXT = {
  isNeededForTypingOr: (value: string | number) => `“${value}” is needed for typing or answering already.`,
};
