import {
  isLiteralElement,
  isPluralElement,
  isSelectElement,
  type MessageFormatElement,
} from '@formatjs/icu-messageformat-parser'

const PLAIN = 'aceilnorsuyzACEILNORSUYZ'
const ACCENTED = 'áçéíĺñóřšúýžÁÇÉÍĹÑÓŘŠÚÝŽ'
/** Translations of English run this much longer. */
const LONGER = 0.4

/** A message with accents on its letters and 40 % longer: what stays plain or is cut on a screen shows at once. */
export function pseudo(message: readonly MessageFormatElement[]): MessageFormatElement[] {
  return message.map((element) => {
    if (isLiteralElement(element)) return { ...element, value: accented(element.value) }
    if (!isPluralElement(element) && !isSelectElement(element)) return element
    const options = Object.entries(element.options).map(
      ([name, { value }]) => [name, { value: pseudo(value) }] as const,
    )
    return { ...element, options: Object.fromEntries(options) }
  })
}

function accented(text: string): string {
  const letters = [...text].filter((letter) => /[a-z]/i.test(letter)).length
  const more = '·'.repeat(Math.ceil(letters * LONGER))
  return [...text]
    .map((letter) => ACCENTED[PLAIN.indexOf(letter)] ?? letter)
    .join('')
    .replace(/\s*$/, (end) => more + end)
}
