/** Things in groups of those that meet, directly or by way of others, in their order. @param meet of two numbers */
export function groupsOf<T>(
  all: readonly T[],
  meet: (one: number, other: number) => boolean,
): readonly (readonly T[])[] {
  const group = all.map((_, i) => i);
  all.forEach((_, i) => {
    for (let k = 0; k < i; k++) {
      if (group[k] === group[i] || !meet(k, i)) continue;
      const [to, from] = [Math.min(group[k], group[i]), Math.max(group[k], group[i])];
      group.forEach((one, at) => {
        if (one === from) group[at] = to;
      });
    }
  });
  return [...new Set(group)].map((first) => all.filter((_, i) => group[i] === first));
}
