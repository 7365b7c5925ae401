export { spokenSequence } from './spoken';
export * as sequenceEdits from './edits';
