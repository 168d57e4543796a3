/** What sub nav says. */
export const SUB_NAV_TEXT = {
  undoCtrlZ: 'Undo (Ctrl Z)',
  undo: 'Undo',
  redoCtrlY: 'Redo (Ctrl Y)',
  redo: 'Redo',
};
