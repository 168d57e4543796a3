// Writes docs/which-way.schema.json from the core. Run after `npm run build`; a test holds the two together.
import { writeFileSync } from 'node:fs';
import { projectFileSchema } from '@which-way/core/formats';

writeFileSync(
  new URL('../docs/which-way.schema.json', import.meta.url),
  `${JSON.stringify(projectFileSchema, null, 1)}\n`,
);
