/**
 * Proof: records that prove themselves to whoever holds them.
 *
 * `hashTree` the tree over a logbook's entries · `signedHead` what is signed of it · `proofFile` the lines that are handed out ·
 * `proofCheck` goes through them, `judgedAgain` judges their batches anew.
 *
 * Imports: ground to admission.
 */
export { HashTree, leafOf, nodeOf, subtreesBetween, type Subtree } from './hashTree'
export { headSaidBy, nextKeyStatement, type HeadStatement, type PublicKey, type SignedText } from './signedHead'
export { type KeyTools } from './signedHeads'
export { type Packing } from './keptStates'
export { type Stood } from './judgedAgain'
export { entryIn, entryOfText } from './sealedText'
export { LONGEST_LINE, type ProofHeader, type ProofLine } from './proofFile'
export { proofLines, type ProofSource } from './proofLines'
export { ProofCheck, type ProofFound, type ProofTools } from './proofCheck'
export { type Otherwise, type ProofCaution, type ProofFault } from './proofFault'
