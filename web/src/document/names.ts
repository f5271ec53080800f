/** The next numbered name that none of some things has. */
export function freeName(word: string, taken: readonly { readonly name: string }[]): string {
  let n = taken.length + 1;
  while (taken.some(({ name }) => name === `${word} ${n}`)) n++;
  return `${word} ${n}`;
}
