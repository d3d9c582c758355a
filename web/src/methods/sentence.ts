/** A text as a sentence: with a full stop where the cook wrote none. */
export function asSentence(text: string): string {
  return text === '' || /[.!?…]$/.test(text) ? text : `${text}.`
}
