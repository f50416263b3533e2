import { ulid } from './ulid';

/** Calls that create something, by their path in the API document. */
const MAKING = new Set(['/garages', '/people/invitations', '/tokens', '/sessions/{session}/imports', '/pieces/{kind}']);

const KEPT = 'harmozon-unanswered';

/** Outlives a reload; where a browser keeps nothing, the page itself does. */
let kept: Record<string, string> = read();

function read(): Record<string, string> {
  try {
    return JSON.parse(sessionStorage.getItem(KEPT) ?? '{}') as Record<string, string>;
  } catch {
    return {};
  }
}

function write(): void {
  try {
    sessionStorage.setItem(KEPT, JSON.stringify(kept));
  } catch {
    // It is still known here.
  }
}

/** 53 bits of what is sent: enough to know it again, and nothing of it can be read back. */
function printOf(text: string): string {
  let [a, b] = [0xdeadbeef, 0x41c6ce57];
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 2654435761);
    b = Math.imul(b ^ code, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36);
}

/** The name of something that is to be made once; the same name again until it was answered. */
export function nameOf(what: string): string {
  const print = printOf(what);
  kept[print] ??= ulid();
  write();
  return kept[print];
}

/** From now on the same again is meant to be another one. */
export function answered(what: string): void {
  kept = Object.fromEntries(Object.entries(kept).filter(([print]) => print !== printOf(what)));
  write();
}

/** What a call makes, or null where repeating it does no harm. */
export async function making(method: string, schemaPath: string, request: Request): Promise<string | null> {
  return method === 'POST' && MAKING.has(schemaPath) ? `${request.url}\n${await request.clone().text()}` : null;
}
