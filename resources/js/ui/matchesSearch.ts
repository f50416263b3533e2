/** Whether a text contains every search word, in any order. A number belongs to the word before it: "level 1", "type 2". */
export function holdsWords(wanted: string, ...texts: (string | undefined)[]): boolean {
  const text = texts.join(' ').toLowerCase();
  return wanted
    .toLowerCase()
    .replace(/\b(level|type|ccs|combo)\s+(\d)\b/g, '$1$2')
    .split(/\s+/)
    .every((word) => text.includes(word));
}
