/** What is painted over what on the desk, from the bottom up. */
export const ORDER = { paper: 0, picture: 1, panels: 2, drawing: 3, shade: 4, marks: 5 } as const;
