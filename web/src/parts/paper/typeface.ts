// The product's typeface in its two weights for paper and reports, as addresses that hold it whole; some 13 kB each.
import monoBold from '@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-700-normal.woff?inline';
import mono from '@fontsource/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff?inline';
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?inline';
import normal from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?inline';

export const TYPEFACE = { normal, bold };
export const EVEN_TYPEFACE = { normal: mono, bold: monoBold };
