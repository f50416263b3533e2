/** The value at a dotted path (`inlets.0.dc.max_v`); undefined where the path ends early. */
export function valueAt(root: unknown, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>(
      (at, key) => (typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[key] : undefined),
      root,
    );
}

/** A copy with the value at a dotted path replaced; objects on the way are made where they are missing. */
export function withValue<T>(root: T, path: string, value: unknown): T {
  const [key, ...rest] = path.split('.');
  if (key === undefined) {
    return root;
  }
  // An empty object may have come as an empty list: only a number is a place in a list.
  const isList = Array.isArray(root) && /^\d+$/.test(key);
  const copy = (isList ? [...root] : { ...(root as object) }) as Record<string, unknown>;
  copy[key] = rest.length === 0 ? value : withValue(copy[key] ?? {}, rest.join('.'), value);
  return copy as T;
}
