/** The longer side of what is sent (px): the print of a plate can be read at that. */
const LONGEST_SIDE = 3000;

/** What is small enough goes as it is (bytes). */
const LIGHT = 4_000_000;

const QUALITY = 0.9;

/** A photograph no larger than it needs to be: a phone's camera draws more than anybody reads. What is no picture stays as it is; the server says so. */
export async function scaledDown(file: Blob): Promise<Blob> {
  const drawn = await createImageBitmap(file).catch(() => null);
  if (drawn === null) {
    return file;
  }
  const share = Math.min(1, LONGEST_SIDE / Math.max(drawn.width, drawn.height));
  try {
    if (share === 1 && file.size <= LIGHT) {
      return file;
    }
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(drawn.width * share));
    canvas.height = Math.max(1, Math.round(drawn.height * share));
    const pen = canvas.getContext('2d');
    if (pen === null) {
      return file;
    }
    // On white where it lets something through, as the server draws it.
    pen.fillStyle = 'white';
    pen.fillRect(0, 0, canvas.width, canvas.height);
    pen.drawImage(drawn, 0, 0, canvas.width, canvas.height);
    return (await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY))) ?? file;
  } finally {
    drawn.close();
  }
}
