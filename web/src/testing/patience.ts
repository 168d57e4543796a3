// `findBy…` and `waitFor` give up after a second otherwise, which a busy machine may need for the first page alone.
import { configure } from '@testing-library/react';
import { PATIENCE_MS } from './until.js';

configure({ asyncUtilTimeout: PATIENCE_MS });
