import './buffer-global';
import { Font, pdf } from '@react-pdf/renderer';
import regular from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import regularExtended from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import boldExtended from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import { PaperDocument, PAPER_FONTS } from '../features/paper/paper-document';
import { PAINTED, type Paper, type PaperPicture } from '../features/paper/paper';
import { paintDrawing } from './paint-drawing';

[
  [regular, bold],
  [regularExtended, boldExtended],
].forEach(([plain, strong], i) =>
  Font.register({ family: PAPER_FONTS[i], fonts: [{ src: plain }, { src: strong, fontWeight: 700 }] }),
);
// Words of the trade and labels of shades are never parted.
Font.registerHyphenationCallback((word) => [word]);

const nameOf = ({ drawing }: PaperPicture) => JSON.stringify(drawing);

/** What hair hangs before: the grey of the room. */
const SURROUND = '#8d8d8d';

/** Hair as a JPEG at a data address: a file that holds it as it is, with nothing to unpack. */
async function painted({ drawing }: PaperPicture): Promise<string> {
  const { width, height, data } = paintDrawing(drawing, PAINTED);
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d')!;
  context.putImageData(new ImageData(data, width, height), 0, 0);
  context.globalCompositeOperation = 'destination-over';
  context.fillStyle = SURROUND;
  context.fillRect(0, 0, width, height);
  const file = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.92 });
  const bytes = new Uint8Array(await file.arrayBuffer());
  let text = '';
  for (const byte of bytes) text += String.fromCharCode(byte);
  return `data:image/jpeg;base64,${btoa(text)}`;
}

/** What a set is made into: the file, or why it could not be made. */
export type PaperMade = { file: ArrayBuffer } | { failed: string };

async function made(paper: Paper): Promise<ArrayBuffer> {
  const pictures = new Map<string, string>();
  for (const { blocks } of paper.sheets)
    for (const block of blocks)
      if (block.kind === 'pictures')
        for (const picture of block.pictures)
          if (!pictures.has(nameOf(picture))) pictures.set(nameOf(picture), await painted(picture));
  const document = <PaperDocument paper={paper} pictured={(picture) => pictures.get(nameOf(picture))!} />;
  return (await pdf(document).toBlob()).arrayBuffer();
}

self.onmessage = async ({ data: paper }: MessageEvent<Paper>) => {
  try {
    const file = await made(paper);
    self.postMessage({ file } satisfies PaperMade, { transfer: [file] });
  } catch (error) {
    self.postMessage({ failed: String(error) } satisfies PaperMade);
  }
};
