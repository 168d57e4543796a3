import { expose } from 'comlink';
import { diagnosisDesk } from './diagnosis-desk.js';

expose(diagnosisDesk);
