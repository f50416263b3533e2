type Plain = Record<string, unknown>;

const isObject = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Lists of objects of the same length are compared item by item; other lists are one value. */
const isListOfObjects = (value: unknown): value is Plain[] =>
  Array.isArray(value) && value.length > 0 && value.every(isObject);

/** What must be set, by dotted path, to make the one into the other; what is gone is set to null. */
export function differences(before: unknown, after: unknown, path = ''): Record<string, unknown> {
  const at = (key: string | number) => (path === '' ? String(key) : `${path}.${key}`);
  // Where facts come from stands by their own dotted paths: it is written as a whole.
  if (isObject(before) && isObject(after) && !/(^|\.)origins$/.test(path)) {
    const keys = [...new Set([...Object.keys(before), ...Object.keys(after)])];
    return Object.assign({}, ...keys.map((key) => differences(before[key], after[key], at(key)))) as Plain;
  }
  if (isListOfObjects(before) && isListOfObjects(after) && before.length === after.length) {
    return Object.assign({}, ...after.map((item, i) => differences(before[i], item, at(i)))) as Plain;
  }
  return same(before, after) ? {} : { [path]: after ?? null };
}

/** Not known and not there are the same. */
export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);
