/** What sub nav says. */
export const SUB_NAV_TEXT = {
  pageOf: (page: string, all: number) => `${page} · ${all} pages`,
  undoCtrlZ: 'Undo (Ctrl Z)',
  undo: 'Undo',
  redoCtrlY: 'Redo (Ctrl Y)',
  redo: 'Redo',
};
