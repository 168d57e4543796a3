import { buildServer } from './fresh-work.mjs';

buildServer();
