import { expose } from 'comlink';
import { huntDesk } from './hunt-desk.js';

expose(huntDesk());
