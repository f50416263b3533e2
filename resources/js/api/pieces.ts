/** The largest part of a file that the server accepts (bytes). */
const PIECE = 4 * 1024 * 1024;

/** Sends a file piece by piece, from where it was left; what was sent twice stands once. */
export async function inPieces<T extends { state: string; received: number }>(
  file: Blob,
  begun: T,
  send: (piece: Blob, from: number) => Promise<T>,
): Promise<T> {
  let at = begun;
  while (at.state === 'arriving') {
    at = await send(file.slice(at.received, at.received + PIECE), at.received);
  }
  return at;
}
