import regular from '@fontsource/barlow/files/barlow-latin-400-normal.woff?inline';
import bold from '@fontsource/barlow/files/barlow-latin-600-normal.woff?inline';
import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

// Its types leave out the files that it keeps in memory.
declare module 'pdfmake' {
  const virtualfs: { writeFileSync(name: string, content: Buffer): void };
}
const bytes = (url: string) => Buffer.from(url.slice(url.indexOf(',') + 1), 'base64');
let ready = false;

/** A document in the type that ships with the application; nothing is fetched. */
export async function pdf(definition: TDocumentDefinitions): Promise<Uint8Array<ArrayBuffer>> {
  if (!ready) {
    pdfmake.virtualfs.writeFileSync('barlow-400.woff', bytes(regular));
    pdfmake.virtualfs.writeFileSync('barlow-600.woff', bytes(bold));
    pdfmake.addFonts({
      Barlow: { normal: 'barlow-400.woff', bold: 'barlow-600.woff', italics: 'barlow-400.woff', bolditalics: 'barlow-600.woff' }
    });
    pdfmake.setLocalAccessPolicy(() => false);
    pdfmake.setUrlAccessPolicy(() => false);
    ready = true;
  }
  return new Uint8Array(await pdfmake.createPdf(definition).getBuffer());
}
