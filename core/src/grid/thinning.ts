/**
 * How often k can be halved, up to `most`; zero as often as that. Lines of few halvings are the first to be left out.
 */
export function halvings(k: number, most: number): number {
  let n = 0;
  for (let rest = k; n < most && rest % 2 === 0; rest /= 2) n++;
  return n;
}
