/** What is dragged over the desk comes to rest on half millimetres, so that a ruler finds it; with Alt anywhere. */
export const atRest = (mm: number, alt: boolean): number => (alt ? mm : Math.round(2 * mm) / 2);
