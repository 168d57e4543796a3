/** What writer says. */
export const WRITER_TEXT = {
  itIsBeingStopped: 'it is being stopped',
  wasMovedRemovedOrReplaced: (lost: string | number) =>
    `${lost} was moved, removed or replaced while the server was running`,
  rollbackFailed: (value: string | number) => `rollback failed: ${value}`,
  aChangeCouldNeitherBe: 'a change could neither be finished nor taken back',
};
