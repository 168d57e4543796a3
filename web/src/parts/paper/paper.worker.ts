import signsBold from '@fontsource/dejavu-sans/files/dejavu-sans-latin-700-normal.woff?url';
import signs from '@fontsource/dejavu-sans/files/dejavu-sans-latin-400-normal.woff?url';
import { expose } from 'comlink';
import type { Paper } from './paper.js';
import { Press } from './press.js';

/** A file of ours in base64. @throws where the server doesn't give it */
async function read(address: string): Promise<string> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`${address}: ${response.status}`);
  const bytes = new Uint8Array(await response.arrayBuffer());
  let text = '';
  for (let from = 0; from < bytes.length; from += 0x8000)
    text += String.fromCharCode(...bytes.subarray(from, from + 0x8000));
  return btoa(text);
}

const press = new Press(async () => {
  const [normal, bold] = await Promise.all([read(signs), read(signsBold)]);
  return { normal, bold };
});
const desk = { lay: (paper: Paper): Promise<Uint8Array> => press.lay(paper) };

/** What lays documents out on paper beside the screen. */
export type PaperWorker = typeof desk;

expose(desk);
