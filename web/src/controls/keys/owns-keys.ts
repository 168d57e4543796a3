/** What takes keys for itself while it has the focus: fields, lists of choices, rows of tabs, dialogs. */
const OWNERS =
  'input, textarea, [role=dialog], [role=alertdialog], [role=combobox], [role=listbox], [role=tablist], [role=menu], [role=radiogroup], [role=checkbox]';

/** Whether a key pressed there belongs to what has the focus, and not to the screen around it. */
export const ownsKeys = (target: EventTarget | null): boolean =>
  target instanceof Element && target.closest(OWNERS) !== null;
