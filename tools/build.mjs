import { build, install } from './fresh-work.mjs';

install();
build();
