/** Makes something of an object that never changes once, however often it is asked for; it goes with the object. */
export function once<K extends object, V extends object>(make: (of: K) => V): (of: K) => V {
  const known = new WeakMap<K, V>()
  return (of) => {
    const there = known.get(of)
    if (there) return there
    const made = make(of)
    known.set(of, made)
    return made
  }
}
