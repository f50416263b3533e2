const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

/** A new sortable id (48 bits of time, 80 random bits), created on the device that took the reading. */
export function ulid(now = Date.now()): string {
  let time = '';
  for (let rest = now, i = 0; i < 10; i++, rest = Math.floor(rest / 32)) {
    time = ALPHABET.charAt(rest % 32) + time;
  }
  const chance = crypto.getRandomValues(new Uint8Array(16));
  return time + Array.from(chance, (byte) => ALPHABET.charAt(byte % 32)).join('');
}
