import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex } from '@noble/hashes/utils';

/** A PICTURE MADE FIT TO BE KEPT: drawn anew, smaller, with nothing in it of where and by what it was taken, under the sum of its bytes. */
export interface Picture {
  readonly sum: string;
  readonly bytes: Blob;
}

/** The longest that is read, bytes. */
const longest = 30 * 1024 * 1024;
/** Its longer side, px: a weep is seen on it, and it travels over a field. */
const side = 1600;
/** What a picture comes to at most, bytes; the server takes no more than 1.5 MB. */
const wanted = 600_000;
const kinds = /^image\/(jpeg|png|webp|heic|heif|avif|gif|bmp)$/;

const asBlob = (canvas: HTMLCanvasElement, quality: number) =>
  new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', quality));

/**
 * Makes a picture of a file that was chosen or taken.
 * @returns the picture, or a sentence that says what is wrong with the file
 */
export async function pictureOf(file: File): Promise<Picture | { readonly problem: string }> {
  if (!kinds.test(file.type)) return { problem: `“${file.name}” is no picture: take one, or choose a JPEG, PNG or WebP.` };
  if (file.size > longest)
    return { problem: `“${file.name}” has ${Math.round(file.size / 1024 / 1024)} MB: choose one of at most 30 MB, or take it smaller.` };
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
  if (!bitmap) return { problem: `“${file.name}” cannot be read as a picture by this browser.` };
  const scale = Math.min(1, side / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [Math.max(1, Math.round(bitmap.width * scale)), Math.max(1, Math.round(bitmap.height * scale))];
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  let bytes = await asBlob(canvas, 0.82);
  for (const quality of [0.7, 0.55, 0.4]) if (bytes && bytes.size > wanted) bytes = await asBlob(canvas, quality);
  if (!bytes) return { problem: 'This browser cannot make the picture smaller: it is not kept.' };
  return { sum: bytesToHex(sha256(new Uint8Array(await bytes.arrayBuffer()))), bytes };
}
