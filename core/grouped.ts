/** Things by what each belongs to, in the order in which they came. */
export function grouped<T, K>(things: readonly T[], keyOf: (thing: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const thing of things) {
    const key = keyOf(thing);
    const there = groups.get(key);
    if (there) there.push(thing);
    else groups.set(key, [thing]);
  }
  return groups;
}
