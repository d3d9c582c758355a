/** Checks a proof file by itself: the same in a browser as in Node. */
export { checkProof } from './checkProof'
export { PROOF_TOOLS } from './proofTools'
export { UnreadableFile } from './linesIn'
export { unreadableSentence } from './unreadable'
