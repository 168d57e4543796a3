export { judge } from './judge.js';
export { type Judgement, type Open } from './judgement.js';
export { takenCheck, type CheckTaken, type NotTested } from './not-tested.js';
export { signable, signatureOf, type ShownVerdict, type SignatureStanding } from './signature.js';
