/** Keys and what they do, as told to the person. */
export type Keys = readonly (readonly [keys: string, does: string])[];

/** Whether a key belongs to the field that has the focus: text is being typed, or a slider or a list is moved. */
const inField = ({ target, key }: KeyboardEvent): boolean =>
  target instanceof Element &&
  (target.matches("input:not([type=checkbox]), textarea, select") ||
    (target.matches("[role=slider]") && key.startsWith("Arrow")) ||
    target.closest("[role=dialog]") !== null);

/** Keys work from everywhere but a field that wants them itself. */
export const ANYWHERE = { enableOnFormTags: true, ignoreEventWhen: inField } as const;

/** The keys of every page on which a scene is worked on. */
export const SHARED_KEYS: Keys = [
  ["Ctrl+Z, Ctrl+Shift+Z", "Undo, redo"],
  ["Ctrl+S", "Save now; otherwise it saves by itself"],
  ["?", "These keys"],
];
